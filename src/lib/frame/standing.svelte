<script lang="ts">
  /** The standing: which system, what stops, what is open. One line; what it opens is loaded then. */
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import OctagonX from '@lucide/svelte/icons/octagon-x';
  import { FAMILY_NAMES } from '$core/trade/vocabulary';
  import { counted } from '$core/words/text';
  import { getPlace } from '../state/context';
  import OnDemand from './on-demand.svelte';

  const place = getPlace();
  const stops = $derived(place.standing.stops);
  const unseen = $derived(place.unread.wall + place.unread.equipment);
  const openCount = $derived(place.standing.open.length + (unseen > 0 ? 1 : 0));
  const { family: known } = $derived(place.identification);
  const family = $derived(known === 'unknown' ? 'System not known yet' : FAMILY_NAMES[known]);
  let shown = $state(false);
</script>

<button
  type="button"
  class="line no-print"
  class:alarm={stops.length > 0}
  aria-haspopup="dialog"
  aria-label="Standing: {family}; {counted(stops.length, 'stop', 'stops')}, {openCount} open. Open it"
  onclick={() => (shown = true)}
>
  {#if stops.length > 0}<OctagonX size={16} class="flex-none" aria-hidden="true" /><b
      >{counted(stops.length, 'stop', 'stops')}</b
    ><span class="dot">·</span>{/if}
  <span class="truncate">{family}{openCount > 0 ? ` · ${openCount} open` : ''}</span>
  <ChevronDown size={16} class="flex-none" aria-hidden="true" />
</button>

<OnDemand
  open={shown}
  load={() => import('./standing-dialog.svelte')}
  given={{ open: true, onclose: () => (shown = false) }}
/>

<style>
  .line {
    display: inline-flex;
    align-items: center;
    gap: 0.35rem;
    min-width: 0;
    max-width: 100%;
    min-height: 1.6rem;
    padding: 0 0.4rem;
    margin-left: -0.4rem;
    border-radius: var(--radius-field);
    font-size: 0.875rem;
    white-space: nowrap;
    cursor: pointer;
  }

  .line:hover {
    background: color-mix(in oklab, var(--color-base-content) 7%, transparent);
  }

  .line.alarm {
    background: var(--color-base-content);
    color: var(--color-base-100);
  }
</style>
