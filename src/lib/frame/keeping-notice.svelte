<script lang="ts">
  /** What to do when the job cannot be kept: the other tab's version, a full or refusing browser. */
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { hasPrivate } from '$core/job/private';
  import { takeOutJob } from '../state/take-out';
  import { getSession } from '../state/context';
  import { freshRest } from '../state/store';

  const session = $derived(getSession()());
  const keeping = $derived(session.keeping);

  async function keepBoth(): Promise<void> {
    const before = session.job.id;
    const id = session.keepMineAs(freshRest());
    await session.settled();
    await goto(page.url.pathname.replace(before, id));
  }
</script>

{#if session.notice.length > 0}
  <div class="no-print sheet-of-paper mb-3 border-2 p-3" role="status">
    {#each session.notice as line (line)}<p>{line}</p>{/each}
    <button type="button" class="btn btn-outline btn-sm mt-2" onclick={() => (session.notice = [])}
      >Understood</button
    >
  </div>
{/if}
{#if session.refused.length > 0}
  <div class="no-print sheet-of-paper mb-3 border-2 p-3" role="alert">
    <p><b>That was not written down, and nothing was changed.</b></p>
    <ul class="list-disc pl-5">
      {#each session.refused as line (line)}<li>{line}</li>{/each}
    </ul>
    <button type="button" class="btn btn-outline btn-sm mt-2" onclick={() => (session.refused = [])}
      >Close</button
    >
  </div>
{/if}
{#if keeping.state === 'conflict'}
  <div class="no-print sheet-of-paper mb-3 border-2 p-3" role="alert">
    <p>
      <b>This job was changed in another tab.</b> Nothing was overwritten: your last edits here are not saved yet.
    </p>
    <div class="mt-2 flex flex-wrap gap-2">
      <button type="button" class="btn btn-primary btn-sm" onclick={keepBoth}
        >Keep both: mine as a copy</button
      >
      <button type="button" class="btn btn-outline btn-sm" onclick={() => session.takeTheirs()}
        >Take theirs, drop my last edits</button
      >
    </div>
  </div>
{:else if keeping.state === 'gone'}
  <div class="no-print sheet-of-paper mb-3 border-2 p-3" role="alert">
    <p>
      <b>This job was removed in another tab.</b> You still see it here, but it is no longer saved.
    </p>
    <div class="mt-2 flex flex-wrap gap-2">
      <button type="button" class="btn btn-primary btn-sm" onclick={keepBoth}>Keep it as a new job</button>
      <a class="btn btn-outline btn-sm" href="/">Discard it</a>
    </div>
  </div>
{:else if keeping.state === 'full' || keeping.state === 'refused'}
  <div class="no-print sheet-of-paper mb-3 border-2 p-3" role="alert">
    <p>
      <b
        >{keeping.state === 'full'
          ? 'The browser has no room left.'
          : 'The browser does not keep this job.'}</b
      >
      Your edits are here and not saved ({keeping.why}). Export the job before you close this page.
    </p>
    <div class="mt-2 flex flex-wrap gap-2">
      <button type="button" class="btn btn-primary btn-sm" onclick={() => takeOutJob(session)}
        >Export the job, photos too</button
      >
      {#if session.job.thermostats.some(hasPrivate)}
        <button type="button" class="btn btn-outline btn-sm" onclick={() => takeOutJob(session, true)}
          >With the registration code and hardware address</button
        >
      {/if}
      <button type="button" class="btn btn-outline btn-sm" onclick={() => session.retry()}>Try again</button>
    </div>
  </div>
{/if}
