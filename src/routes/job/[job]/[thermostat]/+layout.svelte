<script lang="ts">
  /** The frame of all stations: the job above, the rail beside, the standing always in sight. */
  import { SHORT_TEXT } from '$core/job/primitives';
  import type { Snippet } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { LIMITS } from '$core/job/limits';
  import { addThermostat } from '$core/job/machines';
  import Dialog from '$lib/frame/dialog.svelte';
  import { bringCurrentIntoSight } from '$lib/frame/in-sight';
  import KeepingNotice from '$lib/frame/keeping-notice.svelte';
  import Rail from '$lib/frame/rail.svelte';
  import Standing from '$lib/frame/standing.svelte';
  import TopBar from '$lib/frame/top-bar.svelte';
  import { getSession, setPlace } from '$lib/state/context';
  import { Place } from '$lib/state/place.svelte';
  import { threadPlanner } from '$lib/state/planner';

  let { children }: { children: Snippet } = $props();
  const getOpen = getSession();
  const place = new Place(getOpen, () => page.params['thermostat'] ?? '', threadPlanner);
  setPlace(place);
  // Before the page is drawn anew: the thread plans meanwhile.
  $effect.pre(() => place.follow());

  const session = $derived(getOpen());
  const station = $derived(page.url.pathname.split('/')[4] ?? 'sheet');
  const known = $derived(session.job.thermostats.some((one) => one.id === page.params['thermostat']));
  let adding = $state(false);
  let tabs: HTMLElement | undefined = $state();
  $effect(() => {
    void page.url.pathname;
    bringCurrentIntoSight(tabs);
  });

  async function add(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const form = new FormData(event.currentTarget as HTMLFormElement);
    const name = String(form.get('name') ?? '').trim() || 'Thermostat';
    const on = session.job.equipment.find((one) => one.id === form.get('on'))?.id ?? null;
    session.edit(addThermostat(session.job, name, on));
    adding = false;
    await goto(`/job/${session.job.id}/${session.job.thermostats.at(-1)?.id}/sheet`);
  }
</script>

<svelte:head>
  {#if !known}<title>No such thermostat · Ulterum</title>{/if}
</svelte:head>

<div class="frame">
  <TopBar />
  <KeepingNotice />
  {#if known}
    <nav bind:this={tabs} class="no-print mb-2 flex gap-1 overflow-x-auto pb-1" aria-label="Thermostats">
      {#each session.job.thermostats as one (one.id)}
        <a
          class="btn btn-sm flex-none"
          class:btn-neutral={one.id === place.thermostat.id && station !== 'together'}
          class:btn-ghost={one.id !== place.thermostat.id || station === 'together'}
          aria-current={one.id === place.thermostat.id && station !== 'together' ? 'true' : undefined}
          href="/job/{session.job.id}/{one.id}/{station === 'together' ? 'moves' : station}">{one.name}</a
        >
      {/each}
      {#if session.job.thermostats.length > 1}
        <a
          class="btn btn-sm flex-none"
          class:btn-neutral={station === 'together'}
          class:btn-ghost={station !== 'together'}
          aria-current={station === 'together' ? 'page' : undefined}
          href="/job/{session.job.id}/{place.thermostat.id}/together">All together</a
        >
      {/if}
      <button
        type="button"
        class="btn btn-ghost btn-sm flex-none"
        disabled={session.job.thermostats.length >= LIMITS.thermostats.most}
        onclick={() => (adding = true)}>+ Thermostat</button
      >
    </nav>
    {#if place.trouble}
      <p class="sheet-of-paper mb-3 flex flex-wrap items-center gap-3 p-4" role="alert">
        {place.trouble}
        <button type="button" class="btn btn-sm" onclick={() => place.tryAgain()}>Try again</button>
      </p>
    {/if}
    {#if place.planned}
      <Standing />
      <div class="stations">
        <Rail />
        <main class="min-w-0" aria-busy={place.planning}>{@render children()}</main>
      </div>
    {:else if !place.trouble}
      <p class="p-4" role="status">
        Working out the plan …{place.progress > 0 ? ` ${Math.floor(100 * place.progress)} %` : ''}
      </p>
    {/if}
  {:else}
    <main class="p-4">
      <h1 class="station-title">No such thermostat</h1>
      <p>This job holds none under this address. <a class="underline" href="/">All jobs</a></p>
    </main>
  {/if}
</div>
<p class="sr-only" role="status">{session.said}</p>

<Dialog open={adding} title="Another thermostat" onclose={() => (adding = false)}>
  <form class="grid gap-3" onsubmit={add}>
    <label class="flex flex-col gap-1 text-sm"
      >Where it hangs
      <input class="input w-full" name="name" maxlength={SHORT_TEXT} placeholder="Upstairs" />
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >Its conductors go to
      <select class="select w-full" name="on">
        <option value="">a machine that no other one is on</option>
        {#each session.job.equipment as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </select>
    </label>
    <button class="btn btn-primary justify-self-end">Add</button>
  </form>
</Dialog>

<style>
  .frame {
    max-width: 80rem;
    margin-inline: auto;
    padding: 0 1rem 2rem;
  }

  .stations {
    display: grid;
    grid-template-columns: 13rem minmax(0, 1fr);
    gap: 1.25rem;
    margin-top: 1rem;
  }

  @media (max-width: 899px) {
    .frame {
      padding: 0 0.75rem calc(6rem + env(safe-area-inset-bottom));
    }

    .stations {
      display: block;
    }
  }

  @media print {
    .frame {
      padding: 0;
      max-width: none;
    }

    .stations {
      display: block;
      margin: 0;
    }
  }
</style>
