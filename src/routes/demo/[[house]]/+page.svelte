<script lang="ts">
  /** Opens the demo house; what somebody changed in it before is kept. */
  import { whyNotSaved } from '$storage/port';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { NO_HISTORY } from '$core/job/history';
  import { openDemoHouse } from '$demo/houses';
  import { jobStore } from '$lib/state/store';

  let name = $state('Demo');
  let trouble = $state('');

  onMount(async () => {
    const opened = await openDemoHouse(page.params['house'] ?? '').catch(() => null);
    if (opened === null) {
      trouble = 'The demo house could not be loaded. Try again once the network is back.';
      return;
    }
    const { job: house, station } = opened;
    name = house.name;
    const store = jobStore();
    const there = await store.load(house.id);
    if (!there.ok) {
      const saved = await store.save(
        { job: house, saved: new Date().toISOString(), history: NO_HISTORY },
        0,
        NO_HISTORY
      );
      if (!saved.ok && saved.reason !== 'conflict') {
        trouble = `The browser does not keep the demo house: ${whyNotSaved(saved)}`;
        return;
      }
    }
    await goto(`/job/${house.id}/${house.thermostats[0]?.id}/${station}`, { replaceState: true });
  });
</script>

<svelte:head><title>Demo · Ulterum</title></svelte:head>
<main class="mx-auto max-w-xl p-6">
  <h1 class="station-title">{name}</h1>
  {#if trouble}
    <p class="mb-4" role="alert">{trouble}</p>
    <div class="flex flex-wrap gap-2">
      <button type="button" class="btn btn-primary" onclick={() => location.reload()}>Try again</button>
      <a class="btn" href="/">All jobs</a>
    </div>
  {:else}<p>Opening …</p>{/if}
</main>
