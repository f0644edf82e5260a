import {
  clipped,
  DECIDES,
  sayClock,
  sayLength,
  sayMinutes,
  saySpeed,
  type Shoot,
  shotDurationS,
  trim,
} from '@gentle-arc/core/model';
import { checklistOf, needOf } from '@gentle-arc/core/supports';
import { preferences } from '$lib/ui/preferences.svelte';
import { paper, printPage } from '$lib/ui/print';
import type { ShownDay, ShownEntry } from '$lib/workers/day-messages';

/** Pages read in black and white: nothing hangs on a tone. */
const STYLE = `
  @page { size: A4 portrait; margin: 13mm; }
  body { margin: 0; font: 10.5pt/1.35 sans-serif; color: #000; }
  h1 { margin: 0 0 1mm; font-size: 17pt; }
  h2 { margin: 5mm 0 1mm; font-size: 12pt; break-after: avoid; }
  p { margin: 0 0 1mm; }
  table { width: 100%; border-collapse: collapse; }
  thead { display: table-header-group; }
  th, td { padding: 1mm 2mm 1mm 0; border-bottom: 0.25mm solid #777; text-align: left; vertical-align: top; }
  tr, .card, li { break-inside: avoid; }
  .rest td { border-bottom-style: dashed; font-style: italic; }
  ul { margin: 0; padding: 0; list-style: none; }
  li { padding: 0.6mm 0; }
  .box::before { content: ''; display: inline-block; width: 3.2mm; height: 3.2mm; border: 0.35mm solid #000; }
  .box::before { margin-right: 2mm; vertical-align: -0.4mm; }
  .two { columns: 2; column-gap: 8mm; }
  .whole { break-inside: avoid; }
  .card { height: 128mm; box-sizing: border-box; padding: 5mm; border: 0.5mm solid #000; margin-bottom: 6mm; overflow: hidden; }
  .card h2 { margin-top: 0; font-size: 15pt; }
  .card .boxes { letter-spacing: 2mm; font-size: 15pt; }
  .small { font-size: 9pt; }
`;

const headOf = (shoot: Shoot, what: string) => [
  paper('h1', `${shoot.name}: ${what}`),
  paper('p', shoot.day.date === null ? 'The day is not said yet.' : shoot.day.date),
];
const row = (cells: string[], look = '', tag = 'td') => paper('tr', '', look, ...cells.map((text) => paper(tag, text)));

function table(heads: string[], rows: HTMLElement[]): HTMLElement {
  return paper('table', '', '', paper('thead', '', '', row(heads, '', 'th')), paper('tbody', '', '', ...rows));
}

/** Entries and breaks as they follow each other. */
function inTurn<T>(
  day: ShownDay,
  entry: (row: ShownEntry) => T,
  rest: (row: ShownDay['plan']['breaks'][number]) => T,
): T[] {
  return [
    ...day.plan.entries.map((each) => ({ atS: each.startS, made: entry(each) })),
    ...day.plan.breaks.map((each) => ({ atS: each.startS, made: rest(each) })),
  ]
    .sort((a, b) => a.atS - b.atS)
    .map(({ made }) => made);
}
const clock = (s: number) => sayClock(s / 60);

export const printCallSheet = (shoot: Shoot, day: ShownDay): Promise<void> =>
  printPage(`${shoot.name}, call sheet`, STYLE, (body) => {
    const { people, callMin, wrapMin } = shoot.day;
    const { place } = shoot.site;
    body.append(
      ...headOf(shoot, 'call sheet'),
      paper('p', `Everybody there at ${sayClock(callMin)}, gone by ${sayClock(wrapMin)}.`),
      ...(place ? [paper('p', `Place: ${place.latitudeDeg}° north, ${place.longitudeDeg}° east.`)] : []),
      ...(day.sunSaid ? [paper('p', `Light: ${day.sunSaid}.`)] : []),
    );
    const weather = (day.weather ?? []).filter(({ hour }) => hour * 60 >= callMin - 60 && hour * 60 <= wrapMin);
    if (weather.length > 0) {
      const most = (of: (at: (typeof weather)[0]) => number) => Math.max(...weather.map(of));
      const gusts = saySpeed(
        most((at) => at.gustMps),
        preferences.units,
      );
      body.append(
        paper(
          'p',
          [
            `Weather as forecast or typed: gusts up to ${gusts}`,
            `rain up to ${most((at) => at.rainMmph)} mm an hour`,
            `sky up to ${Math.round(100 * most((at) => at.cloudShare))}% covered.`,
          ].join(', '),
        ),
      );
    }
    body.append(
      paper('h2', 'Who'),
      people.length === 0
        ? paper('p', 'Nobody is named yet.')
        : table(
            ['Name', 'From', 'Until', 'Does', 'Shots'],
            people.map(({ name, hours, skills, pieceId }) =>
              row([
                name,
                sayClock(hours.fromMin),
                sayClock(hours.toMin),
                pieceId === null ? skills.join(', ') : ['before the camera', ...skills].join(', '),
                day.plan.entries
                  .filter(
                    ({ work, who }) =>
                      (pieceId !== null && work.before.includes(pieceId)) || who.some((hand) => hand.name === name),
                  )
                  .map(({ number }) => number)
                  .join(', '),
              ]),
            ),
          ),
      paper('h2', 'The day'),
      table(
        ['From', 'Takes', 'Shot', 'With'],
        inTurn(
          day,
          (entry) =>
            row([
              clock(entry.startS),
              clock(entry.takesFromS),
              `${entry.number} ${entry.name}`,
              `${entry.work.rigName}, ${entry.work.lensName}`,
            ]),
          (rest) => row([clock(rest.startS), '', rest.name, sayMinutes(rest.forS)], 'rest'),
        ),
      ),
      ...(day.plan.cannot.length > 0
        ? [
            paper('h2', 'Does not fit'),
            ...day.plan.cannot.map(({ number, name, why }) => paper('p', `${number} ${name}. ${why}`)),
          ]
        : []),
      paper('h2', 'Mind'),
      ...cautions(day).map((said) => paper('p', said)),
      paper('p', DECIDES),
    );
  });

function cautions(day: ShownDay): string[] {
  const kinds = new Set(day.plan.entries.map(({ work }) => work.rigKind));
  return [
    ...(kinds.has('drone')
      ? ['Flying: a spotter, a clear circle, nobody underneath; land at the reserve, whatever the shot.']
      : []),
    ...(kinds.has('jib') || kinds.has('rope') || kinds.has('hoist')
      ? ['Overhead: nobody below, a second line on what hangs.']
      : []),
    ...(kinds.has('vehicle') || kinds.has('wheels')
      ? ['Wheels: one drives and watches the way, one watches the frame.']
      : []),
    'Cables and bags where people walk: taped and seen. Water, shade and breaks.',
  ];
}

export const printOrder = (shoot: Shoot, day: ShownDay): Promise<void> =>
  printPage(`${shoot.name}, shooting order`, STYLE, (body) => {
    body.append(
      ...headOf(shoot, 'shooting order'),
      table(
        ['From', 'Takes', 'Shot', 'Settings', 'Marks', 'Why there'],
        inTurn(
          day,
          (entry) =>
            row([
              clock(entry.startS),
              `${clock(entry.takesFromS)}, ${entry.tries}×`,
              `${entry.number} ${entry.name}`,
              settings(shoot, entry).join('; '),
              marks(entry).join('; '),
              clipped(entry.reasons.join(' '), 160),
            ]),
          (rest) => row([clock(rest.startS), '', rest.name, sayMinutes(rest.forS), '', ''], 'rest'),
        ),
      ),
    );
  });

function settings(shoot: Shoot, entry: ShownEntry): string[] {
  const shot = shoot.shots.find(({ id }) => id === entry.shotId);
  if (!shot) return [];
  const filters = shot.filterIds.flatMap((id) => shoot.kit.filters.find((row) => row.id === id)?.name ?? []);
  return [
    `${entry.work.rigName}, ${entry.work.lensName} at ${trim(shot.focalLengthMm, 1)} mm`,
    `f/${trim(shot.fNumber, 1)}, ISO ${trim(shot.light.iso, 0)}, ${trim(shot.shutterDeg, 0)}° at ${trim(shot.captureRateHz, 2)}`,
    ...filters,
    shot.focus.mode === 'fixed'
      ? `focus ${sayLength(shot.focus.distanceM, preferences.units)}`
      : `focus ${shot.focus.mode === 'follow' ? 'follows' : 'racks'}, ${shot.puller}`,
  ];
}

function marks({ work }: ShownEntry): string[] {
  const say = (m: number) => sayLength(m, preferences.units);
  const at = ([x, y, z]: readonly number[]) =>
    `${say(Math.abs(x))} ${x < 0 ? 'west' : 'east'}, ${say(Math.abs(y))} ${y < 0 ? 'south' : 'north'}, ${say(z)} up`;
  const { fromM, toM, subjectFromM, subjectToM } = work.marks;
  return [`start ${at(fromM)}, ${say(subjectFromM)} away`, `stop ${at(toM)}, ${say(subjectToM)} away`];
}

export const printCards = (shoot: Shoot, day: ShownDay): Promise<void> =>
  printPage(`${shoot.name}, shot cards`, STYLE, (body) => {
    for (const entry of day.plan.entries) {
      const shot = shoot.shots.find(({ id }) => id === entry.shotId);
      if (!shot) continue;
      body.append(
        paper(
          'div',
          '',
          'card',
          paper('h2', `${entry.number} ${entry.name}`),
          paper(
            'p',
            `${clock(entry.startS)}: change ${sayMinutes(entry.changeS)}, set up ${sayMinutes(entry.setUpS)}; ` +
              `takes from ${clock(entry.takesFromS)}.`,
          ),
          ...settings(shoot, entry).map((said) => paper('p', said)),
          ...marks(entry).map((said) => paper('p', said)),
          paper(
            'p',
            `${trim(shotDurationS(shot), 1)} s of action, ${shoot.story.handlesS} s before and after; ` +
              `back to one ${sayMinutes(entry.work.resetS)}.`,
          ),
          paper(
            'p',
            entry.who.map(({ name, what }) => `${name} ${what}`).join('; ') ||
              entry.work.hands.map(({ what }) => `one who ${what}`).join('; ') ||
              'Nobody at the camera.',
          ),
          ...entry.reasons.slice(0, 4).map((said) => paper('p', said, 'small')),
          ...(shot.note ? [paper('p', clipped(shot.note, 200), 'small')] : []),
          paper('p', 'Tries:'),
          paper('p', '☐'.repeat(Math.min(16, entry.tries)), 'boxes'),
        ),
      );
    }
  });

export const printPack = (shoot: Shoot, day: ShownDay): Promise<void> =>
  printPage(`${shoot.name}, pack list`, STYLE, (body) => {
    body.append(...headOf(shoot, 'pack list'));
    const columns = paper('div', '', 'two');
    for (const { name, items } of day.pack)
      columns.append(
        paper('h2', name),
        paper(
          'ul',
          '',
          '',
          ...items.map(({ said, numbers }) =>
            paper('li', numbers.length > 0 && numbers.length < 7 ? `${said} (${numbers.join(', ')})` : said, 'box'),
          ),
        ),
      );
    body.append(columns);
  });

/** The checklists of the builds that the day's shots are nearest to. */
export const printChecklists = (shoot: Shoot, day: ShownDay): Promise<void> =>
  printPage(`${shoot.name}, checklists`, STYLE, (body) => {
    body.append(...headOf(shoot, 'checklists'));
    const shots = day.plan.entries.flatMap(({ shotId }) => shoot.shots.filter(({ id }) => id === shotId));
    const builds = new Map(
      shots.flatMap((shot) => {
        const { build } = needOf(shoot.kit, shot);
        return build ? [[build.id, build] as const] : [];
      }),
    );
    if (builds.size === 0) body.append(paper('p', 'No build of the kit is for a rig of this day.'));
    for (const build of builds.values()) {
      const own = shots.filter((shot) => needOf(shoot.kit, shot).build?.id === build.id);
      body.append(
        paper('h2', `${build.name}: ${own.map((shot) => shoot.shots.indexOf(shot) + 1).join(', ')}`),
        paper(
          'ul',
          '',
          'two whole',
          ...checklistOf(build, shoot.kit, own, shoot.site.pieces).map(({ said }) => paper('li', said, 'box')),
        ),
      );
    }
  });
