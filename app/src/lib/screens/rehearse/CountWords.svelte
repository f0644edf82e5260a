<script lang="ts">
  import { changePractice } from '@gentle-arc/core/edit';
  import { writeWav } from '@gentle-arc/core/formats';
  import { FIELDS, trim } from '@gentle-arc/core/model';
  import { type Count, pacesOf } from '@gentle-arc/core/rehearse';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { downloadBlob, fileName } from '$lib/ui/download';
  import { keepPreferences, preferences } from '$lib/ui/preferences.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { renderCount } from './count-sound';
  import { canBuzz, type CountRunner, hasVoice } from './count-runner.svelte';

  /** How the shot is counted, and how the count is heard. */
  let { count, runner }: { count: Count; runner: CountRunner } = $props();

  const session = shotSession();
  const { shoot, shot } = $derived(session);
  let problem: string | null = $state(null);
  let voice = $state(hasVoice());
  $effect(() => {
    if (!('speechSynthesis' in window)) return;
    // Voices come some time after the page.
    const look = () => (voice = hasVoice());
    window.speechSynthesis.addEventListener('voiceschanged', look);
    return () => window.speechSynthesis.removeEventListener('voiceschanged', look);
  });
  const FROM = {
    typed: 'as typed',
    steps: 'as whoever carries the camera steps',
    seconds: 'one a second: nobody steps in this shot',
  } as const;
  const switches = $derived([
    { key: 'countClicks' as const, name: 'Clicks and tones', can: true },
    { key: 'countVoice' as const, name: voice ? 'A voice' : 'A voice (this device has none)', can: voice },
    { key: 'countBuzz' as const, name: canBuzz() ? 'Buzzes' : 'Buzzes (this device cannot)', can: canBuzz() },
    { key: 'countPicture' as const, name: 'The picture beside it', can: true },
  ]);
  function turn(key: (typeof switches)[number]['key']) {
    preferences[key] = !preferences[key];
    keepPreferences();
  }
  async function keepSound() {
    problem = null;
    try {
      const { samples, rateHz } = await renderCount(count, 1);
      downloadBlob(
        `${fileName(shot.name)}-count.wav`,
        new Blob([writeWav(samples, rateHz) as Uint8Array<ArrayBuffer>], { type: 'audio/wav' }),
      );
    } catch (error) {
      problem = `The sound could not be made. ${(error as Error).message}`;
    }
  }
  const paces = $derived(pacesOf(shoot.practice));
</script>

<section aria-label="Count" class="word-pane">
  <p class="start">
    <button class="solid-button" onclick={() => runner.toggle()}>{runner.running ? 'Stop' : 'Count it'}</button>
    <span class="text-sm text-soft"
      >{runner.running
        ? runner.waitsS === null
          ? `Time ${runner.pass}${runner.pace === 1 ? ', at speed' : `, at ${trim(runner.pace * 100, 0)}% of the speed`}`
          : 'Back to one'
        : 'Space starts and stops it; it goes on by itself.'}</span
    >
  </p>
  <p class="said">
    <Sentence
      text={'{countIn} beats counted in, {beatsPerMin} beats a minute (0: as the shot goes); ' +
        'first {slowFirst}, then at speed; back to one takes {backToOneS}.'}
      facts={FIELDS.practice}
      values={shoot.practice}
      onchange={(key, value, join) =>
        session.change(changePractice(shoot, { [key]: value }), join && `practice.${join}`)}
    />
  </p>
  <p class="text-sm text-soft">
    The beat is {trim(count.beatsPerMin, 0)} a minute, {FROM[count.beatFrom]}.
    {#if paces.length > 1}The first time goes slowly; it stays at speed from then on.{/if}
    {#if session.film.samples !== session.film.filmed || shot.captureRateHz !== shot.frameRateHz}What is counted is the
      action as it is filmed, not as it is shown.{/if}
  </p>
  <div class="switches" role="group" aria-label="How it is heard">
    {#each switches as { key, name, can } (key)}
      <label
        ><input type="checkbox" checked={preferences[key] && can} disabled={!can} onchange={() => turn(key)} />
        {name}</label
      >
    {/each}
  </div>
  <h2>What is called</h2>
  <ol class="called">
    {#each count.cues.filter(({ said }) => said !== null) as { atS, said, kind }, i (i)}
      <li class={kind}><span>{atS.toFixed(1)} s</span> {said}</li>
    {/each}
  </ol>
  {#if problem}<Trouble>{problem}</Trouble>{/if}
  <p>
    <button class="link" onclick={() => void keepSound()}>Keep the count as a sound (WAV)</button>
    <span class="text-sm text-soft">to be played from any phone</span>
  </p>
</section>

<style>
  .start {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem 0.8rem;
  }
  .switches {
    display: grid;
    gap: 0.15rem;
  }
  label {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    min-height: 1.6rem;
  }
  .called {
    columns: 2;
    font-size: 0.9rem;
  }
  .called span {
    display: inline-block;
    width: 3.4rem;
    color: var(--soft);
    text-align: right;
    margin-right: 0.4rem;
  }
  .mark,
  .rest,
  .phase {
    font-weight: 650;
  }
</style>
