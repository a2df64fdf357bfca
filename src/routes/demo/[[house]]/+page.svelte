<script lang="ts">
  /** Opens the demo house; what somebody changed in it before is kept. */
  import { whyNotSaved } from '$storage/port';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { NO_HISTORY } from '$core/job/history';
  import { DEMO_HOUSES } from '$demo/jobs';
  import { jobStore } from '$lib/state/store';

  /** The one named in the address, else the first. */
  const demo = DEMO_HOUSES[page.params['house'] ?? ''] ?? DEMO_HOUSES['schoolhouse']!;
  const house = demo.job();
  let trouble = $state('');

  onMount(async () => {
    const store = jobStore();
    const there = await store.load(house.id);
    if (!there.ok) {
      const saved = await store.save(
        { job: house, saved: new Date().toISOString(), history: NO_HISTORY },
        0,
        NO_HISTORY
      );
      if (!saved.ok && saved.reason !== 'conflict') {
        trouble = whyNotSaved(saved);
        return;
      }
    }
    await goto(`/job/${house.id}/${house.thermostats[0]?.id}/${demo.station}`, { replaceState: true });
  });
</script>

<svelte:head><title>Demo · Ulterum</title></svelte:head>
<main class="mx-auto max-w-xl p-6">
  <h1 class="station-title">{house.name}</h1>
  {#if trouble}<p role="alert">The browser does not keep the demo house: {trouble}</p>{:else}<p>
      Opening …
    </p>{/if}
</main>
