<script lang="ts">
  /** The jobs of this browser: open, begin, bring in from a file. */
  import { SHORT_TEXT } from '$core/job/primitives';
  import FileUp from '@lucide/svelte/icons/file-up';
  import House from '@lucide/svelte/icons/house';
  import Plus from '@lucide/svelte/icons/plus';
  import Trash from '@lucide/svelte/icons/trash-2';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { DEMO_HOUSES } from '$demo/jobs';
  import { NO_HISTORY } from '$core/job/history';
  import { newJob } from '$core/job/create';
  import { makeId } from '$core/job/ids';
  import { JOB_VERSION, type Job } from '$core/job/schema';
  import { download, fileName } from '$lib/files/download';
  import { exportJob, keepPhotos, readJobFile } from '$lib/files/job-file';
  import Dialog from '$lib/frame/dialog.svelte';
  import { Growing } from '$lib/frame/growing.svelte';
  import ThemeButton from '$lib/frame/theme-button.svelte';
  import { freshRest, jobStore } from '$lib/state/store';
  import { whyNotSaved, type JobSummary } from '$storage/port';

  const store = jobStore();
  let jobs = $state<readonly JobSummary[] | null>(null);
  let trouble = $state<{ title: string; lines: readonly string[] } | null>(null);
  const growing = new Growing(() => jobs?.length ?? 0);
  let naming = $state(false);
  let removing = $state<JobSummary | null>(null);

  onMount(() => {
    void refresh();
    return store.watch(() => void refresh());
  });

  async function refresh(): Promise<void> {
    try {
      jobs = await store.list();
    } catch (error) {
      jobs = [];
      trouble = {
        title: 'The browser does not let jobs be kept here',
        lines: [error instanceof Error ? error.message : String(error)]
      };
    }
  }

  /** Stores a job that is new here; one that is here already is never replaced, the newcomer gets an id of its own. */
  async function keep(job: Job): Promise<Job['id'] | null> {
    const taken = (await store.load(job.id)).ok;
    const own = taken ? { ...job, id: makeId('job', freshRest()) } : job;
    const saved = await store.save(
      { job: own, saved: new Date().toISOString(), history: NO_HISTORY },
      0,
      NO_HISTORY
    );
    if (saved.ok) return own.id;
    trouble = {
      title: 'The job was not stored',
      lines: [whyNotSaved(saved)]
    };
    return null;
  }

  async function begin(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const form = new FormData(event.currentTarget as HTMLFormElement);
    const name = String(form.get('name') ?? '').trim() || 'My house';
    const feet = form.get('length') === 'ft';
    const job = newJob(makeId('job', freshRest()), name.slice(0, 120));
    const id = await keep({
      ...job,
      place: String(form.get('place') ?? '').slice(0, 120),
      units: { length: feet ? 'ft' : 'm', temperature: feet ? 'F' : 'C' }
    });
    if (id !== null) await goto(`/job/${id}/${job.thermostats[0]?.id}/sheet`);
  }

  async function bring(event: Event): Promise<void> {
    const input = event.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    const title = `${file.name} was not brought in; nothing stored was touched`;
    const read = await readJobFile(file);
    if (!read.ok) {
      trouble = { title, lines: read.lines };
      return;
    }
    trouble = null;
    const id = await keep(read.job);
    if (id === null) return;
    const lost = await keepPhotos(store, { ...read.job, id }, read.photos);
    await refresh();
    if (read.from < JOB_VERSION)
      trouble = {
        title: `${file.name} was written by an earlier version`,
        lines: ['Everything in it came in. Exported again, it is a file of the present version.']
      };
    if (read.idsChanged.length > 0)
      trouble = { title: `${file.name} came in with a change`, lines: read.idsChanged };
    if (lost !== null) trouble = { title: 'The job came in without all of its photos', lines: [lost] };
  }

  async function takeOut(summary: JobSummary): Promise<void> {
    const loaded = await store.load(summary.id);
    if (loaded.ok) await exportJob(store, loaded.record.job);
    else if (loaded.reason === 'damaged') download(fileName(summary.id, 'damaged.json'), loaded.raw);
  }

  async function remove(): Promise<void> {
    if (removing) await store.remove(removing.id);
    removing = null;
    await refresh();
  }

  /** A record whose time is none is listed like every other. */
  function when(iso: string): string {
    const time = new Date(iso);
    if (Number.isNaN(time.getTime())) return '';
    return new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' }).format(time);
  }
</script>

<svelte:head><title>Jobs · Ulterum</title></svelte:head>

<div class="mx-auto max-w-4xl px-4 pb-16">
  <header class="flex items-center gap-3 py-4">
    <img src="/icon.svg" alt="" width="40" height="40" />
    <div class="flex-1">
      <h1 class="station-title">Ulterum</h1>
      <p class="quiet">From the wires on the wall to a proven way of supplying a new thermostat.</p>
    </div>
    <ThemeButton />
  </header>

  <main>
    {#if trouble}
      <div class="sheet-of-paper mb-4 border-2 p-4" role="alert">
        <p class="font-semibold">{trouble.title}</p>
        <ul class="mt-1 list-disc pl-5">
          {#each trouble.lines as line (line)}<li class="break-words">{line}</li>{/each}
        </ul>
        <button type="button" class="btn btn-sm mt-2" onclick={() => (trouble = null)}>Close</button>
      </div>
    {/if}

    <div class="mb-6 flex flex-wrap gap-2">
      <button type="button" class="btn btn-primary" onclick={() => (naming = true)}
        ><Plus size={20} aria-hidden="true" />New job</button
      >
      <label class="btn btn-outline">
        <FileUp size={20} aria-hidden="true" />Bring in a file
        <input
          class="sr-only"
          type="file"
          accept=".json,.zip,application/json,application/zip"
          onchange={bring}
        />
      </label>
      {#each DEMO_HOUSES as house (house.id)}<a
          class="btn btn-outline"
          href="/demo/{house.id.replace('job-', '')}"
          ><House size={20} aria-hidden="true" />{house.name} (demo)</a
        >{/each}
    </div>

    {#if jobs === null}
      <p class="quiet">Looking for jobs …</p>
    {:else if jobs.length === 0}
      <div class="sheet-of-paper p-6">
        <h2 class="section-title mb-1">No job yet</h2>
        <p>
          Begin one at the wall, with the cover off and every supply off. Or open a demo house: a school
          turned into a home, with three thermostats that differ in all that matters; or a ferry house, with
          four on one panel.
        </p>
      </div>
    {:else}
      <ul class="flex flex-col gap-2" aria-label="Jobs">
        {#each jobs.slice(0, growing.shown) as job (job.id)}
          <li class="sheet-of-paper flex flex-wrap items-center gap-x-4 gap-y-2 p-4">
            <div class="min-w-0 flex-1 basis-64">
              <p class="section-title truncate">{job.name}</p>
              <p class="quiet text-sm">{[job.place, when(job.saved)].filter(Boolean).join(' · ')}</p>
              <div class="mt-2 flex flex-wrap gap-2">
                {#each job.thermostats as one (one.id)}<a
                    class="btn btn-outline btn-sm"
                    href="/job/{job.id}/{one.id}/sheet">{one.name}</a
                  >{/each}
              </div>
            </div>
            <div class="flex gap-1">
              <button type="button" class="btn btn-ghost btn-sm" onclick={() => takeOut(job)}>Export</button>
              <button
                type="button"
                class="btn btn-ghost btn-square btn-sm"
                aria-label="Remove {job.name}"
                onclick={() => (removing = job)}><Trash size={18} /></button
              >
            </div>
          </li>
        {/each}
      </ul>
    {/if}
    <p class="quiet mt-8 text-sm">
      Jobs stay in this browser; nothing is sent anywhere. Local code, the maker’s sheet and licensed practice
      win over anything said here.
    </p>
  </main>
</div>

<Dialog open={naming} title="New job" onclose={() => (naming = false)}>
  <form class="grid gap-3" onsubmit={begin}>
    <label class="flex flex-col gap-1 text-sm"
      >Which house
      <input class="input w-full" name="name" maxlength={SHORT_TEXT} placeholder="My house" />
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >Where
      <input class="input w-full" name="place" maxlength={SHORT_TEXT} />
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >Measures
      <select class="select w-full" name="length"
        ><option value="m">metres, °C</option><option value="ft">feet, °F</option></select
      >
    </label>
    <button class="btn btn-primary mt-1 justify-self-end">Begin at the wall</button>
  </form>
</Dialog>

<Dialog open={removing !== null} title="Remove {removing?.name ?? ''}?" onclose={() => (removing = null)}>
  <p>It goes from this browser for good. Export it first if anybody may want it again.</p>
  <div class="mt-4 flex justify-end gap-2">
    <button type="button" class="btn btn-ghost" onclick={() => (removing = null)}>Keep it</button>
    <button type="button" class="btn btn-primary" onclick={remove}>Remove</button>
  </div>
</Dialog>
