<script lang="ts">
  /**
   * Where one is in the work: four groups, and the stations of each. At a desk all stand at the left; on a phone the groups stand at the
   * bottom, and the stations of the group that one is in above the content. Anyone may jump; nothing is locked.
   */
  import Check from '@lucide/svelte/icons/check';
  import Archive from '@lucide/svelte/icons/archive';
  import Eye from '@lucide/svelte/icons/eye';
  import Scale from '@lucide/svelte/icons/scale';
  import Wrench from '@lucide/svelte/icons/wrench';
  import { page } from '$app/state';
  import { getPlace } from '../state/context';
  import { groupOf, groupsOf, stationsOf } from './stations';
  import { say } from '../words/manner.svelte';

  const place = getPlace();
  const shapes = { look: Eye, decide: Scale, do: Wrench, keep: Archive };
  const stations = $derived(stationsOf(place));
  const base = $derived(`/job/${place.job.id}/${place.thermostat.id}`);
  const here = $derived(page.url.pathname.split('/')[4] ?? 'sheet');
  const groups = $derived(groupsOf(place));
  const current = $derived(groupOf(here, groups));
</script>

<nav class="rail no-print" aria-label="Stations">
  <ol>
    {#each groups as group (group.id)}
      <li class="group" class:current={group.id === current.id}>
        <p class="head">{group.name}</p>
        <ol class="stations">
          {#each group.stations as id (id)}
            {@const station = stations.get(id)}
            {#if station}
              <li>
                <a
                  href="{base}/{id}"
                  aria-current={here === id ? 'page' : here === 'do' && id === 'moves' ? 'true' : undefined}
                >
                  <span class="name"
                    >{say(station.name)}{#if station.done}<Check
                        size={15}
                        strokeWidth={3}
                        class="ml-1 inline"
                        aria-label="done"
                      />{/if}</span
                  >
                  <span class="says">{say(station.says)}</span>
                </a>
              </li>
            {/if}
          {/each}
        </ol>
      </li>
    {/each}
  </ol>
</nav>

<nav class="marks no-print" aria-label="Parts of the work">
  {#each groups as group (group.id)}
    {@const Shape = shapes[group.id]}
    <a href="{base}/{group.stations[0]}" aria-current={group.id === current.id ? 'true' : undefined}>
      <Shape size={22} aria-hidden="true" />{group.name}
    </a>
  {/each}
</nav>

<style>
  .rail > ol {
    display: flex;
    flex-direction: column;
    gap: 0.9rem;
  }

  .head {
    padding: 0 0.75rem 0.15rem;
    font-size: 0.8125rem;
    color: color-mix(in oklab, var(--color-base-content) 76%, transparent);
  }

  .stations a {
    display: flex;
    flex-direction: column;
    padding: 0.4rem 0.75rem;
    border-left: 4px solid transparent;
    border-radius: var(--radius-field);
    line-height: 1.25;
  }

  .stations a:hover {
    background: color-mix(in oklab, var(--color-base-content) 7%, transparent);
  }

  .stations a[aria-current] {
    background: var(--color-base-100);
    border-left-color: var(--color-primary);
  }

  .name {
    font-weight: 650;
  }

  .says {
    font-size: 0.8125rem;
    color: color-mix(in oklab, var(--color-base-content) 76%, transparent);
  }

  .marks {
    display: none;
  }

  @media (max-width: 899px) {
    .group:not(.current),
    .head,
    .says {
      display: none;
    }

    .stations {
      display: flex;
      gap: 0.15rem;
    }

    .stations li {
      flex: 1 1 auto;
      min-width: 0;
    }

    .stations a {
      min-height: 2.25rem;
      justify-content: center;
      padding: 0.15rem 0.25rem;
      border-left: none;
      border-bottom: 3px solid transparent;
      border-radius: 0;
      text-align: center;
      font-size: 0.875rem;
    }

    .stations a[aria-current] {
      border-bottom-color: var(--color-primary);
    }

    .marks {
      position: fixed;
      inset: auto 0 0 0;
      z-index: 20;
      display: grid;
      grid-template-columns: repeat(4, minmax(0, 1fr));
      background: var(--color-base-200);
      border-top: 1px solid var(--color-base-300);
      padding-bottom: env(safe-area-inset-bottom);
    }

    .marks a {
      display: flex;
      flex-direction: column;
      align-items: center;
      gap: 0.1rem;
      padding: 0.45rem 0 0.4rem;
      border-top: 3px solid transparent;
      font-size: 0.8125rem;
      font-weight: 650;
    }

    .marks a[aria-current] {
      border-top-color: var(--color-primary);
      background: var(--color-base-100);
    }
  }
</style>
