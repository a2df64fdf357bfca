<script lang="ts">
  /** A job's bare address leads to its first thermostat. */
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { getSession } from '$lib/state/context';

  const session = getSession()();
  const [first] = session.job.thermostats;

  onMount(() => {
    if (first) void goto(`/job/${session.job.id}/${first.id}/sheet`, { replaceState: true });
  });
</script>

<svelte:head><title>{session.job.name} · Ulterum</title></svelte:head>

<main class="p-6">
  <h1 class="station-title">{session.job.name}</h1>
  {#if !first}<p>This job holds no thermostat.</p>{/if}
</main>
