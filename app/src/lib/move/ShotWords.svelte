<script lang="ts">
  import type { Kit } from '@gentle-arc/core/model/kit';
  import type { Delivery } from '@gentle-arc/core/model/shoot';
  import type { Scene } from '@gentle-arc/core/scene/scene';
  import type { AimMode, Leg, Shot } from '@gentle-arc/core/model/shot';
  import AimWords from './AimWords.svelte';
  import MoveWords from './MoveWords.svelte';
  import SetupWords from './SetupWords.svelte';
  import TimingWords from './TimingWords.svelte';

  /**
   * The whole plan of a shot, said as sentences whose numbers can be typed over; of a chain, the move that is being
   * shaped.
   */
  interface Props {
    scene: Scene;
    shootId: string;
    subjectDistanceM: number;
    kit: Kit;
    leg: Leg;
    isFirst: boolean;
    /** How long before its beginning the moves before it have run. */
    mostOverlapS: number;
    /** Every move says itself where to look. */
    led: boolean;
    /** How far the subject leaves its place under each way of turning the camera. */
    drifts: Record<AimMode, number> | null;
    drawing: boolean;
    ondraw: () => void;
    onleg: (edit: (leg: Leg) => Leg, join: string | null) => void;
    onchange: (edit: (shot: Shot) => Shot, join: string | null) => void;
    onkit: (kit: Kit, join: string | null) => void;
    ondeliver: (delivery: Delivery) => void;
    onsettle: () => void;
  }
  let {
    scene,
    shootId,
    mostOverlapS,
    subjectDistanceM,
    kit,
    leg,
    isFirst,
    led,
    drifts,
    drawing,
    ondraw,
    onleg,
    onchange,
    onkit,
    ondeliver,
    onsettle,
  }: Props = $props();

  const shot = $derived(scene.shot);
</script>

<section aria-label="Move">
  <MoveWords
    {leg}
    {isFirst}
    subjectId={shot.subjectId}
    pieces={scene.pieces}
    {drawing}
    {ondraw}
    onsubject={(subjectId) => onchange((row) => ({ ...row, subjectId }), null)}
    {onleg}
    {onsettle}
  />
  <TimingWords {leg} {isFirst} {mostOverlapS} {onleg} {onsettle} />
  <AimWords
    aim={shot.aim}
    {led}
    {drifts}
    onaim={(aim, join) => onchange((row) => ({ ...row, aim: { ...row.aim, ...aim } }), join)}
    {onsettle}
  />
  <SetupWords {scene} {shootId} {subjectDistanceM} {kit} {onchange} {onkit} {ondeliver} {onsettle} />
</section>
