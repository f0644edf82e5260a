const UNITS: [RegExp, string][] = [
  // Lux at one metre are no metres.
  [/At1M$/, ''],
  [/PerS$/, ' a second'],
  [/PerPx$/, ' a pixel'],
  [/Mps2$/, ' m/s²'],
  [/Degps$/, '°/s'],
  [/Mps$/, ' m/s'],
  [/Mbps$/, ' Mb/s'],
  [/Percent$/, '%'],
  [/Deg$/, '°'],
  [/Hz$/, ' Hz'],
  [/Mm$/, ' mm'],
  [/Px$/, ' px'],
  [/Kg$/, ' kg'],
  [/Nm$/, ' N m'],
  [/M$/, ' m'],
  [/S$/, ' s'],
  [/G$/, ' g'],
  [/N$/, ' N'],
  [/W$/, ' W'],
];

/** The name of a field without its unit, and that unit as it follows a number: `holdStartS` is `holdStart` in ` s`. */
export function fieldUnit(key: string): { bare: string; unit: string } {
  const [ending, unit] = UNITS.find(([test]) => test.test(key)) ?? [/$^/, ''];
  return { bare: key.replace(ending, ''), unit };
}
