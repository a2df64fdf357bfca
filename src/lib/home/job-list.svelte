<script lang="ts">
  /** The jobs of this browser. */
  import Trash from '@lucide/svelte/icons/trash-2';
  import type { JobSummary } from '$storage/port';
  import { Growing } from '../frame/growing.svelte';
  import { day, moment, say } from '../words/manner.svelte';

  interface Props {
    jobs: readonly JobSummary[];
    onexport: (job: JobSummary) => void;
    onremove: (job: JobSummary) => void;
  }

  const { jobs, onexport, onremove }: Props = $props();
  /** What is put off in all of them, the soonest first. */
  const due = $derived(
    jobs.flatMap((job) => job.due).sort((first, second) => first.until.localeCompare(second.until))
  );
  const MOST_DUE = 12;
  const growing = new Growing(() => jobs.length);
</script>

{#if due.length > 0}
  <section class="sheet-of-paper mb-3 border-2 p-4" aria-label="Due">
    <h2 class="section-title mb-1">Due</h2>
    <ul>
      {#each due.slice(0, MOST_DUE) as entry (entry.id)}
        <li>
          <b>{day(entry.until)}</b>:
          <a class="underline" href="/job/{entry.job}/{entry.thermostat}/{entry.station ?? 'test'}"
            >{say(entry.what)}, {entry.thermostatName}, {entry.jobName}</a
          >
        </li>
      {/each}
    </ul>
    {#if due.length > MOST_DUE}<p class="quiet">and {due.length - MOST_DUE} more</p>{/if}
  </section>
{/if}
<ul class="flex flex-col gap-2" aria-label="Jobs">
  {#each jobs.slice(0, growing.shown) as job (job.id)}
    <li class="drawn-when-seen sheet-of-paper flex flex-wrap items-center gap-x-4 gap-y-2 p-4">
      <div class="min-w-0 flex-1 basis-64">
        <p class="section-title truncate">{job.name}</p>
        <p class="quiet text-sm">
          {[job.place, moment(job.saved), job.closed ? 'closed' : ''].filter(Boolean).join(' · ')}
        </p>
        <div class="mt-2 flex flex-wrap gap-2">
          {#each job.thermostats as thermostat (thermostat.id)}<a
              class="btn btn-outline btn-sm"
              href="/job/{job.id}/{thermostat.id}/sheet">{thermostat.name}</a
            >{/each}
        </div>
      </div>
      <div class="flex gap-1">
        <button type="button" class="btn btn-ghost btn-sm" onclick={() => onexport(job)}>Export</button>
        <button
          type="button"
          class="btn btn-ghost btn-square btn-sm"
          aria-label="Remove {job.name}"
          onclick={() => onremove(job)}><Trash size={18} /></button
        >
      </div>
    </li>
  {/each}
</ul>
