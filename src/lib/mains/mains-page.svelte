<script lang="ts">
  /** The frame of each page of mains controls: its head, what is worked out, and the way to begin a record where there is none. */
  import type { Snippet } from 'svelte';
  import type { MainsView } from '$core/handover/mains/view';
  import { startMains } from '$core/job/mains-edits';
  import type { MainsControls } from '$core/job/mains-schema';
  import { getPlace } from '../state/context';
  import Explained from '../words/explained.svelte';
  import { MainsWork } from './mains-work.svelte';

  interface Props {
    title: string;
    intro: string;
    body: Snippet<[MainsControls, MainsView]>;
    /** Stands at once, before anything is worked out. */
    early?: Snippet<[MainsControls]>;
  }

  let { title, intro, body, early }: Props = $props();
  const place = getPlace();
  const work = new MainsWork(place);
  $effect.pre(() => work.follow());
</script>

<svelte:head><title>{title} · {place.thermostat.name} · Ulterum</title></svelte:head>

<div class="flex flex-col gap-4" aria-busy={work.busy}>
  <div>
    <h1 class="station-title">{title}</h1>
    <p class="quiet"><Explained text={intro} /></p>
  </div>
  {#if work.mains === null}
    <section class="sheet-of-paper p-4" aria-label="No mains controls recorded">
      <p class="mb-3">
        No mains heating controls are recorded here. They are a timer or programmer and a room thermostat at
        230 V, with valves, a pump and a boiler behind them.
      </p>
      <button
        type="button"
        class="btn btn-primary"
        onclick={() => place.session.edit(startMains(place.job, place.thermostat.id))}
        >Record mains heating controls</button
      >
    </section>
  {:else}
    {@render early?.(work.mains)}
    {#if work.trouble}<p class="sheet-of-paper p-4" role="alert">Not worked out: {work.trouble}</p>{/if}
    {#if work.view}
      {@render body(work.mains, work.view)}
    {:else if !work.trouble}
      <p class="quiet" role="status">Working it out …</p>
    {/if}
  {/if}
</div>
