<script lang="ts">
  /** The first page: what this is and where to begin; with jobs in this browser, those first. What it does is loaded when it is asked for. */
  import Plus from '@lucide/svelte/icons/plus';
  import Search from '@lucide/svelte/icons/search';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import Dialog from '$lib/frame/dialog.svelte';
  import OnDemand from '$lib/frame/on-demand.svelte';
  import ThemeButton from '$lib/frame/theme-button.svelte';
  import About from '$lib/home/about.svelte';
  import type { Told } from '$lib/home/actions';
  import type { JobStore, JobSummary } from '$storage/port';
  import { emptied, typedIn } from '$lib/state/typed.svelte';

  /** As long as a name may be. */
  const SHORT_TEXT = 120;

  let store: JobStore | null = null;
  let stop = () => {};
  let jobs = $state.raw<readonly JobSummary[] | null>(null);
  /** Loaded once there is a job to list. */
  const listing = () => import('$lib/home/job-list.svelte');
  let told = $state.raw<Told | null>(null);
  let naming = $state(false);
  const NEW = { name: '', place: '' };
  const typed = typedIn(() => 'new-job', NEW);
  let removing = $state.raw<JobSummary | null>(null);
  const actions = () => import('$lib/home/actions');

  onMount(() => {
    const look = async () => {
      if (store !== null || document.hidden) return;
      if (await hasJobs()) await refresh();
      else jobs = [];
    };
    void look();
    // Another tab may have made the first job meanwhile.
    document.addEventListener('visibilitychange', look);
    return () => {
      document.removeEventListener('visibilitychange', look);
      stop();
      stop = () => {};
    };
  });

  /** Whether this browser may hold a job: without a database there is none, and nothing has to be loaded to find that out. */
  async function hasJobs(): Promise<boolean> {
    try {
      const all = await indexedDB.databases();
      return all.some(({ name }) => name === 'ulterum');
    } catch {
      return true;
    }
  }

  /** The store, once there is something to be done with it. */
  async function opened(): Promise<JobStore> {
    const { jobStore } = await import('$lib/state/store');
    if (store === null) {
      store = jobStore();
      stop = store.watch(() => void refresh());
    }
    return store;
  }

  async function refresh(): Promise<void> {
    try {
      jobs = await (await opened()).list();
    } catch (error) {
      jobs = [];
      told = {
        title: 'The browser does not let jobs be kept here',
        lines: [error instanceof Error ? error.message : String(error)]
      };
    }
  }

  async function begin(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const { beginJob } = await actions();
    const made = await beginJob(
      typed.name.trim() || 'My house',
      typed.place,
      (event.submitter as HTMLButtonElement | null)?.value === 'mains'
    );
    if (typeof made !== 'string') {
      told = made;
      return;
    }
    emptied(typed);
    await goto(made);
  }

  async function bring(event: Event): Promise<void> {
    const input = event.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    const { bringIn } = await actions();
    told = await bringIn(file);
    await refresh();
  }

  async function takeOut(job: JobSummary): Promise<void> {
    const { takeOut: out } = await actions();
    told = await out(job);
  }

  async function remove(): Promise<void> {
    if (removing) await store?.remove(removing.id);
    removing = null;
    await refresh();
  }

  let settings = $state(false);
  const any = $derived((jobs?.length ?? 0) > 0);
</script>

<svelte:head>
  <title>Ulterum · how your new thermostat gets its power</title>
  <meta
    name="description"
    content="Find out whether you have a C wire, and how a new thermostat gets its power in your house, before you touch a wire."
  />
</svelte:head>

<div class="mx-auto max-w-4xl px-4 pb-16">
  <header class="flex items-center gap-3 py-3">
    <img src="/icon.svg" alt="" width="36" height="36" />
    <h1 class="station-title flex-1">Ulterum</h1>
    <ThemeButton />
  </header>

  <main class="flex flex-col gap-5">
    {#if told}
      <div class="sheet-of-paper border-2 p-4" role="alert">
        <p class="font-semibold">{told.title}</p>
        <ul class="mt-1 list-disc pl-5">
          {#each told.lines as line (line)}<li class="break-words">{line}</li>{/each}
        </ul>
        <button type="button" class="btn btn-sm mt-2" onclick={() => (told = null)}>Close</button>
      </div>
    {/if}

    {#if any && jobs}
      {#await listing() then { default: JobList }}
        <JobList {jobs} onexport={takeOut} onremove={(job) => (removing = job)} />
      {/await}
    {:else}
      <section class="sheet-of-paper p-5" aria-label="What this is"><About /></section>
    {/if}

    <div class="flex flex-wrap gap-3">
      <a
        class="btn btn-lg h-auto min-h-(--size) max-w-full py-2"
        class:btn-primary={!any}
        class:btn-outline={any}
        href="/look"><Search size={22} aria-hidden="true" />Quick look: do I have a C wire?</a
      >
      <button
        type="button"
        class="btn btn-lg"
        class:btn-primary={any}
        class:btn-outline={!any}
        onclick={() => (naming = true)}><Plus size={22} aria-hidden="true" />New job</button
      >
    </div>

    {#if any}
      <details class="sheet-of-paper p-4">
        <summary class="min-h-6 font-semibold">What this is</summary>
        <div class="mt-3"><About /></div>
      </details>
    {/if}

    <div class="quiet flex flex-wrap items-center gap-x-5 gap-y-2 text-sm">
      <span
        >Look at a made-up house: <a class="underline" href="/demo/schoolhouse">The old schoolhouse</a>,
        <a class="underline" href="/demo/ferry-house">The ferry house</a>,
        <a class="underline" href="/demo/mill-cottage">Mill cottage, dark after the work</a>,
        <a class="underline" href="/demo/quarry-row">Quarry Row, timer and boiler at 230 V</a></span
      >
      <a class="underline" href="/left">The code on a furnace door</a>
      <a class="underline" href="/words">Words of the trade</a>
      <button type="button" class="cursor-pointer underline" onclick={() => (settings = true)}
        >Settings</button
      >
      <label class="inline-flex cursor-pointer items-center gap-1 underline">
        Bring in a file
        <input
          class="sr-only"
          type="file"
          accept=".json,.zip,application/json,application/zip"
          onchange={bring}
        />
      </label>
    </div>
  </main>
</div>

<Dialog open={naming} title="New job" onclose={() => (naming = false)}>
  <form class="grid gap-3" onsubmit={begin}>
    <label class="flex flex-col gap-1 text-sm"
      >Which house
      <input class="input w-full" bind:value={typed.name} maxlength={SHORT_TEXT} placeholder="My house" />
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >Where
      <input class="input w-full" bind:value={typed.place} maxlength={SHORT_TEXT} />
    </label>
    <div class="mt-1 flex flex-wrap justify-end gap-2">
      <button class="btn btn-primary order-2" value="wall">Begin at the wall</button>
      <button class="btn btn-outline order-1" value="mains">230 V timer and boiler instead</button>
    </div>
  </form>
</Dialog>

<OnDemand
  open={settings}
  load={() => import('$lib/frame/settings-dialog.svelte')}
  given={{ open: true, onclose: () => (settings = false) }}
/>

<Dialog open={removing !== null} title="Remove {removing?.name ?? ''}?" onclose={() => (removing = null)}>
  <p>It goes from this browser for good. Export it first if anybody may want it again.</p>
  <div class="mt-4 flex justify-end gap-2">
    <button type="button" class="btn btn-ghost" onclick={() => (removing = null)}>Keep it</button>
    <button type="button" class="btn btn-primary" onclick={remove}>Remove</button>
  </div>
</Dialog>
