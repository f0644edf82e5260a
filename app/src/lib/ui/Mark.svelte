<script lang="ts">
  /** The mark: an arc about a subject. */
</script>

<svg viewBox="0 0 32 32" width="28" height="28" aria-hidden="true">
  <path d="M4 24C8 9 20 6 28 10" fill="none" stroke="var(--subject)" stroke-width="3.2" stroke-linecap="round" />
  <circle cx="18" cy="21" r="3.6" fill="var(--near)" />
</svg>
