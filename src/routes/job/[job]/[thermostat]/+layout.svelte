<script lang="ts">
  /** The frame of all stations: a thin bar above, the stations beside or above, the next step always in sight. */
  import type { Snippet } from 'svelte';
  import { page } from '$app/state';
  import KeepingNotice from '$lib/frame/keeping-notice.svelte';
  import NextStep from '$lib/frame/next-step.svelte';
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
  $effect.pre(() => place.loadGuide());

  const session = $derived(getOpen());
  const known = $derived(session.job.thermostats.some(({ id }) => id === page.params['thermostat']));
  const ready = $derived(known && place.planned);
  /** The first station is drawn a turn after its frame: both at once would keep a page from answering. */
  let framed = $state(false);
  $effect(() => {
    if (!place.planned || framed) return;
    const turn = setTimeout(() => (framed = true));
    return () => clearTimeout(turn);
  });
</script>

<svelte:head>
  {#if !known}<title>No such thermostat · Ulterum</title>{/if}
</svelte:head>

<div class="frame">
  <TopBar>
    {#snippet standing()}{#if ready}<Standing />{/if}{/snippet}
    {#snippet next()}{#if ready}<NextStep />{/if}{/snippet}
  </TopBar>
  <KeepingNotice />
  {#if known}
    {#if place.trouble}
      <p class="sheet-of-paper mb-3 flex flex-wrap items-center gap-3 p-4" role="alert">
        {place.trouble}
        <button type="button" class="btn btn-sm" onclick={() => place.tryAgain()}>Try again</button>
      </p>
    {/if}
    {#if place.planned}
      <div class="stations">
        <Rail />
        <main class="min-w-0" aria-busy={place.planning || !framed}>
          {#if framed}{@render children()}{/if}
        </main>
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
    margin-top: 0.75rem;
  }

  @media (max-width: 899px) {
    .frame {
      padding: 0 0.75rem calc(8rem + env(safe-area-inset-bottom));
    }

    .stations {
      display: block;
      margin-top: 0;
    }

    main {
      padding-top: 0.4rem;
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
