<script lang="ts">
  /** Says that a newer version is ready. This page stays whole on its own parts until one goes over. */
  import { onMount } from 'svelte';

  let waiting: ServiceWorker | null = $state.raw(null);
  /** Other pages still run on the older version, so that going over has to wait. */
  let others = $state(false);

  onMount(() => {
    const workers = navigator.serviceWorker as ServiceWorkerContainer | undefined;
    void workers?.getRegistration().then((registration) => {
      if (!registration) return;
      waiting = registration.waiting;
      registration.addEventListener('updatefound', () => follow(registration));
      if (registration.installing) follow(registration);
    });
  });

  function follow(registration: ServiceWorkerRegistration): void {
    const { installing } = registration;
    installing?.addEventListener('statechange', () => {
      // The first one ever takes over by itself: there is nothing older.
      if (installing.state === 'installed' && registration.active) waiting = installing;
    });
  }

  function goOver(): void {
    navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
    waiting?.postMessage('take-over');
    others = true;
  }
</script>

{#if waiting}
  <div class="no-print fixed inset-x-2 bottom-2 z-50 mx-auto max-w-md">
    <div class="sheet-of-paper border-2 p-3" role="status">
      <p><b>A new version of Ulterum is ready.</b> This page keeps working as it is until you update.</p>
      {#if others}
        <p class="mt-1">Close the other pages of Ulterum first, then press it again.</p>
      {/if}
      <div class="mt-2 flex gap-2">
        <button type="button" class="btn btn-primary btn-sm" onclick={goOver}>Update now</button>
        <button type="button" class="btn btn-outline btn-sm" onclick={() => (waiting = null)}>Later</button>
      </div>
    </div>
  </div>
{/if}
