<script lang="ts">
  /** Said where the shot of an address is gone and another is shown; the one that is shown can be stayed with. */
  let { onstay }: { onstay: () => void } = $props();
</script>

<p role="status">
  The shot of this address is not in this shoot: it may have been deleted. This is another.
  <button class="link" onclick={onstay}>Stay with this one</button>
</p>

<style>
  p {
    margin: 0;
    padding: 0.3rem 0;
    font-size: 0.88rem;
    color: var(--soft);
  }
</style>
