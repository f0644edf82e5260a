<script lang="ts">
  /** Which line of the strips is which. */
  let { of, plan, take = null }: { of: string; plan: string; take?: string | null } = $props();
</script>

<p class="text-soft">
  {of} <span class="plan">{plan}</span>{#if take}, <span class="take">{take}</span>{/if}.
</p>

<style>
  span {
    border-bottom: 2px solid;
    color: var(--ink);
  }
  .plan {
    border-bottom-style: dashed;
    border-color: var(--far);
  }
  .take {
    border-color: var(--near);
  }
</style>
