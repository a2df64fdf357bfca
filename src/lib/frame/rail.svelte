<script lang="ts">
  /** The rail: stations in the order of the work. Anyone may jump; nothing is locked. */
  import Activity from '@lucide/svelte/icons/activity';
  import ArrowLeftRight from '@lucide/svelte/icons/arrow-left-right';
  import Cable from '@lucide/svelte/icons/cable';
  import Check from '@lucide/svelte/icons/check';
  import Flame from '@lucide/svelte/icons/flame';
  import PlugZap from '@lucide/svelte/icons/plug-zap';
  import ClipboardList from '@lucide/svelte/icons/clipboard-list';
  import ShieldCheck from '@lucide/svelte/icons/shield-check';
  import Thermometer from '@lucide/svelte/icons/thermometer';
  import { page } from '$app/state';
  import { getPlace } from '../state/context';
  import { bringCurrentIntoSight } from './in-sight';
  import { stationsOf } from './stations';

  const place = getPlace();
  const shapes = {
    survey: ClipboardList,
    safe: ShieldCheck,
    sheet: Cable,
    system: Flame,
    thermostat: Thermometer,
    supply: PlugZap,
    bench: Activity,
    moves: ArrowLeftRight
  };
  const stations = $derived(stationsOf(place));
  let list: HTMLElement | undefined = $state();
  $effect(() => {
    void page.url.pathname;
    bringCurrentIntoSight(list);
  });
  const base = $derived(`/job/${place.job.id}/${place.thermostat.id}`);
</script>

<nav class="rail no-print" aria-label="Stations">
  <ol bind:this={list}>
    {#each stations as station (station.id)}
      {@const Shape = shapes[station.id]}
      {@const current = `${page.url.pathname}/`.startsWith(`${base}/${station.id}/`)}
      <li>
        <a href="{base}/{station.id}" aria-current={current ? 'page' : undefined}>
          <span class="icon"
            ><Shape size={22} aria-hidden="true" />{#if station.done}<span class="tick"
                ><Check size={10} strokeWidth={4} aria-hidden="true" /></span
              >{/if}</span
          >
          <span class="text"><b>{station.name}</b><span class="says">{station.says}</span></span>
        </a>
      </li>
    {/each}
  </ol>
</nav>

<style>
  ol {
    display: flex;
    flex-direction: column;
    gap: 0.25rem;
  }

  a {
    display: flex;
    align-items: center;
    gap: 1rem;
    padding: 0.6rem 0.75rem;
    border-radius: var(--radius-field);
    border-left: 4px solid transparent;
  }

  a:hover {
    background: color-mix(in oklab, var(--color-base-content) 7%, transparent);
  }

  a[aria-current] {
    background: var(--color-base-100);
    border-left-color: var(--color-primary);
  }

  .icon {
    position: relative;
    flex: none;
  }

  .tick {
    position: absolute;
    right: -0.65rem;
    bottom: -0.3rem;
    display: grid;
    place-items: center;
    width: 0.9rem;
    height: 0.9rem;
    border-radius: 50%;
    background: var(--color-base-content);
    color: var(--color-base-100);
  }

  .text {
    display: flex;
    flex-direction: column;
    line-height: 1.25;
    min-width: 0;
  }

  .says {
    font-size: 0.8125rem;
    color: color-mix(in oklab, var(--color-base-content) 76%, transparent);
  }

  @media (max-width: 899px) {
    .rail {
      position: fixed;
      inset: auto 0 0 0;
      z-index: 20;
      background: var(--color-base-200);
      border-top: 1px solid var(--color-base-300);
      padding-bottom: env(safe-area-inset-bottom);
    }

    ol {
      flex-direction: row;
      gap: 0;
      overflow-x: auto;
      scrollbar-width: none;
    }

    li {
      flex: 1 0 5.4rem;
    }

    a {
      flex-direction: column;
      gap: 0.15rem;
      padding: 0.5rem 0.1rem;
      border-left: none;
      border-top: 4px solid transparent;
      border-radius: 0;
      text-align: center;
      height: 100%;
    }

    a[aria-current] {
      border-top-color: var(--color-primary);
    }

    .text {
      max-width: 100%;
      font-size: 0.8125rem;
    }

    .says {
      position: absolute;
      width: 1px;
      height: 1px;
      overflow: hidden;
      clip-path: inset(50%);
    }
  }
</style>
