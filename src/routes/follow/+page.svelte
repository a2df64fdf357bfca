<script lang="ts">
  /** A second phone follows the work: the job stands in the address after `#`, and nowhere else. */
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { faultText } from '$core/job/faults';
  import type { Job } from '$core/job/schema';

  let job = $state.raw<Job | null>(null);
  let faults = $state.raw<readonly string[]>([]);
  let trouble = $state('');

  onMount(async () => {
    const { readJobLink } = await import('$core/formats/job-link');
    const read = readJobLink(location.hash.slice(1));
    if (read.ok) job = read.job;
    else faults = read.faults.map(faultText);
  });

  async function keep(): Promise<void> {
    if (!job) return;
    const { keepJob } = await import('$lib/home/keep-job');
    const kept = await keepJob(job);
    if (kept.ok) await goto(`/job/${kept.id}/${job.thermostats[0]?.id}/do`, { replaceState: true });
    else trouble = kept.why;
  }
</script>

<svelte:head><title>Follow the work · Ulterum</title></svelte:head>

<main class="mx-auto flex max-w-xl flex-col gap-4 p-6">
  <h1 class="station-title">Follow the work</h1>
  {#if job}
    <p class="text-lg">
      <b>{job.name}</b>: {job.thermostats[0]?.name}. You get the steps as they stand now; what is ticked later
      on the other phone does not come along by itself.
    </p>
    <button type="button" class="btn btn-primary btn-lg" onclick={keep}>Show me the steps</button>
    <p class="quiet text-sm">It came in the address, from the other screen. No server has seen it.</p>
    {#if trouble}<p role="alert">{trouble}</p>{/if}
  {:else if faults.length > 0}
    <div role="alert">
      <p class="font-semibold">This code cannot be read.</p>
      <ul class="list-disc pl-5">
        {#each faults.slice(0, 5) as fault (fault)}<li>{fault}</li>{/each}
      </ul>
      <p class="mt-2">Scan it again from the other screen, or bring the file of the job along.</p>
    </div>
  {:else}
    <p role="status">Reading …</p>
  {/if}
  <a class="underline" href="/">All jobs</a>
</main>
