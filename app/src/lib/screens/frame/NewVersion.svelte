<script lang="ts">
  /** A new version has come and waits: it says so, and is taken when the person wants it. Nothing is lost by either. */
  let waiting = $state.raw<ServiceWorker | null>(null);
  let taking = false;

  $effect(() => {
    if (!('serviceWorker' in navigator)) return;
    const { serviceWorker } = navigator;
    const look = (registration: ServiceWorkerRegistration) => {
      const tell = () => {
        // The very first one takes over by itself: there is nothing older to be replaced.
        if (registration.waiting && serviceWorker.controller) waiting = registration.waiting;
      };
      tell();
      registration.addEventListener('updatefound', () => {
        registration.installing?.addEventListener('statechange', tell);
      });
    };
    void serviceWorker.getRegistration().then((registration) => registration && look(registration));
    // Leaving the page saves what is not saved yet, as ever.
    const taken = () => taking && location.reload();
    serviceWorker.addEventListener('controllerchange', taken);
    return () => serviceWorker.removeEventListener('controllerchange', taken);
  });

  function take() {
    taking = true;
    waiting?.postMessage('take over');
  }
</script>

{#if waiting}
  <p class="version print:hidden" role="status">
    A new version of Gentle Arc is here.
    <button class="link" onclick={take}>Use it now</button>
    <button class="link" onclick={() => (waiting = null)}>with the next start</button>
  </p>
{/if}

<style>
  .version {
    position: fixed;
    right: 1rem;
    bottom: 1rem;
    z-index: 40;
    padding: 0.5rem 1rem;
    border-radius: 999px;
    background: var(--raised);
    box-shadow: 0 2px 12px rgb(0 0 0 / 0.2);
  }
</style>
