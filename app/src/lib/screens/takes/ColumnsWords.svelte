<script lang="ts">
  import { ROLE_WORDS, namedColumn } from '@gentle-arc/core/formats';
  import Choice from '$lib/ui/Choice.svelte';

  /** Which column of a file is what, and in which unit, where its head does not say. */
  interface Props {
    names: readonly string[];
    onread: (columns: Record<string, string>, inUnits: Record<string, string>) => void;
  }
  let { names, onread }: Props = $props();

  let roles: Record<string, string> = $state({});
  let gyro = $state('');
  let accel = $state('');
  let angle = $state('');
  const roleOf = (name: string) => roles[name] ?? namedColumn(name).role ?? '';

  function read() {
    const columns = Object.fromEntries(
      names.flatMap((name) => {
        const role = roles[name];
        return role ? [[role, name]] : [];
      }),
    );
    const inUnits = Object.fromEntries(Object.entries({ gyro, accel, angle }).filter(([, value]) => value !== ''));
    onread(columns, inUnits);
  }
</script>

<div class="columns" role="group" aria-label="Columns of the file">
  {#each names as name, k (k)}
    <p>
      <b>{name || '(no name)'}</b> is <Choice
        label="Column {name || k + 1}"
        value={roleOf(name)}
        items={[
          { value: '', name: 'nothing that is used' },
          ...Object.entries(ROLE_WORDS).map(([value, words]) => ({ value, name: words })),
        ]}
        onchange={(value) => (roles = { ...roles, [name]: value })}
      />
    </p>
  {/each}
  <p class="said">
    Turning is in <Choice
      label="Unit of turning"
      value={gyro}
      items={[
        { value: '', name: 'what its name says' },
        { value: 'degps', name: 'degrees a second' },
        { value: 'radps', name: 'radians a second' },
      ]}
      onchange={(value) => (gyro = value)}
    />, acceleration in <Choice
      label="Unit of acceleration"
      value={accel}
      items={[
        { value: '', name: 'what its name says' },
        { value: 'mps2', name: 'm/s²' },
        { value: 'g', name: 'g' },
      ]}
      onchange={(value) => (accel = value)}
    />, angles in <Choice
      label="Unit of angles"
      value={angle}
      items={[
        { value: '', name: 'what their names say' },
        { value: 'deg', name: 'degrees' },
        { value: 'rad', name: 'radians' },
      ]}
      onchange={(value) => (angle = value)}
    />.
  </p>
  <button class="quiet-button framed" onclick={read}>Read it like this</button>
</div>

<style>
  .columns {
    display: grid;
    gap: 0.2rem;
    padding-left: 0.8rem;
    border-left: 3px solid var(--far);
  }
</style>
