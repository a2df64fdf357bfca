<script module lang="ts">
  /** The job that was open before is saved first: it may be the one that is opened now. */
  let closing: Promise<void> = Promise.resolve();
</script>

<script lang="ts">
  /** Opens the job named in the address, and says plainly when it cannot be. */
  import { onDestroy, untrack, type Snippet } from 'svelte';
  import { page } from '$app/state';
  import type { Job } from '$core/job/schema';
  import type { Step } from '$core/job/steps';
  import { download, fileName } from '$lib/files/download';
  import { setSession } from '$lib/state/context';
  import { JobSession } from '$lib/state/session.svelte';
  import { jobNotes, jobStore } from '$lib/state/store';
  import type { LoadResult } from '$storage/port';

  let { children }: { children: Snippet } = $props();
  let session = $state.raw<JobSession | null>(null);
  let failed = $state.raw<Exclude<LoadResult, { ok: true }> | null>(null);

  setSession(() => {
    if (!session) throw new Error('No job is open');
    return session;
  });

  // The address alone opens a job: one that becomes a copy under a new id stays the open one until its address follows.
  $effect(() => {
    const id = page.params['job'] ?? '';
    untrack(() => {
      if (session?.job.id !== id) void open(id);
    });
  });

  async function open(id: string): Promise<void> {
    await closing;
    await session?.settled();
    const loaded = await jobStore().load(id);
    const notes = jobNotes();
    const left = loaded.ok ? await notes?.take(id) : [];
    session?.close();
    failed = loaded.ok ? null : loaded;
    const ticks = loaded.ok ? await oldTicks(loaded.record.job) : null;
    session = loaded.ok
      ? new JobSession(jobStore(), loaded.record, { opened: loaded.opened, ticks, notes, left: left ?? [] })
      : null;
  }

  /** Planning is loaded here only for a job of the first version that has ticks. */
  async function oldTicks(job: Job): Promise<Step | null> {
    if (job.thermostats.every((thermostat) => thermostat.oldTicks.length === 0)) return null;
    const { adoptTicks } = await import('$core/plan/adopt-ticks');
    return adoptTicks(job);
  }

  function ask(event: BeforeUnloadEvent): void {
    if (session?.unsaved) event.preventDefault();
  }

  onDestroy(() => {
    session?.close();
    closing = session?.settled() ?? closing;
  });
</script>

<svelte:window onbeforeunload={ask} />

<svelte:head>
  {#if !session}<title>{failed ? 'Not opened' : 'Opening the job'} · Ulterum</title>{/if}
</svelte:head>

{#if session}
  {@render children()}
{:else if failed}
  <main class="mx-auto max-w-xl p-6">
    <h1 class="station-title mb-2">This job cannot be opened</h1>
    {#if failed.reason === 'missing'}
      <p>
        This browser keeps no job under this address. It may have been removed, or it lives in another
        browser.
      </p>
    {:else if failed.reason === 'damaged'}
      {@const raw = failed.raw}
      <p>What is stored does not hold: {failed.why}. It was left as it is.</p>
      <p class="mt-3">
        <button
          type="button"
          class="btn btn-outline"
          onclick={() => download(fileName(page.params['job'] ?? 'job', 'damaged.json'), raw)}
          >Save what is stored as a file</button
        >
      </p>
    {:else}
      <p>The browser does not give it out: {failed.why}</p>
    {/if}
    <p class="mt-4"><a class="btn btn-primary" href="/">All jobs</a></p>
  </main>
{:else}
  <p class="p-6">Opening the job …</p>
{/if}
