<script lang="ts">
  /**
   * The wiring centre (or the boiler, where there is none): its numbers down the middle, what feeds and asks at the left, what is fed at the right. Arrow keys go from number to number,
   * Enter opens one. On a phone the wires stand below their number.
   */
  import type { MainsControls, MainsWire } from '$core/job/mains-schema';
  import { MAINS_FUNCTION_NAMES, MAINS_PART_NAMES } from '$core/trade/mains';
  import { HUB_SPOTS, hubOf } from '$core/trade/mains-hub';
  import { COLOURS } from '$core/trade/colours';
  import { capital, counted } from '$core/words/text';
  import ColourChip from '../sheet/colour-chip.svelte';
  import { stripRows, type NumberRow, type WireHere } from './wires-on';
  import { say } from '../words/manner.svelte';

  interface Props {
    mains: MainsControls;
    onopen: (row: NumberRow) => void;
    onwire: (wire: MainsWire) => void;
  }

  let { mains, onopen, onwire }: Props = $props();
  const rows = $derived(stripRows(mains));
  const hub = $derived(hubOf(mains.devices));
  const spot = $derived(HUB_SPOTS[hub]);
  let at = $state(0);
  let list: HTMLOListElement | undefined = $state();

  const LABELS = { landed: '', loose: 'bare', coiled: 'capped', unseen: 'not read' } as const;

  function words({ wire, device, screw }: WireHere): string {
    if (device === null) return 'other end not known';
    if (screw === null) return `${device.name}: ${LABELS[wire.near.state] || 'not read'}`;
    const does =
      screw.does === 'joint' || screw.does === 'unknown' ? '' : ` ${say(MAINS_FUNCTION_NAMES[screw.does])}`;
    return `${device.name} ${screw.mark}${does === '' ? '' : ` ·${does}`}`;
  }

  function move(event: KeyboardEvent): void {
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: rows.length - 1 }[event.key];
    if (to === undefined || to < 0 || to >= rows.length) return;
    event.preventDefault();
    at = to;
    list?.querySelectorAll<HTMLButtonElement>('[data-number]')[to]?.focus();
  }
</script>

{#snippet wires(side: readonly WireHere[], name: string)}
  <ul class="wires {name}">
    {#each side as here (here.wire.id)}
      <li>
        <button type="button" class="wire" onclick={() => onwire(here.wire)}>
          <span class="says">{words(here)}</span>
          <ColourChip code={here.wire.colour} stripe={here.wire.stripe} />
          {#if here.wire.sleeve}<span class="text-xs">sleeve {say(COLOURS[here.wire.sleeve].name)}</span>{/if}
          <span
            class="lead"
            style:--hue={here.wire.colour ? COLOURS[here.wire.colour].hex : 'transparent'}
            style:--stripe={here.wire.stripe ? COLOURS[here.wire.stripe].hex : 'var(--hue)'}
            aria-hidden="true"
          ></span>
        </button>
      </li>
    {/each}
  </ul>
{/snippet}

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<ol
  class="strip"
  bind:this={list}
  onkeydown={move}
  aria-label={say(`${capital(spot)}s of the ${MAINS_PART_NAMES[hub]}`)}
>
  {#each rows as row, index (`${row.strip.id} ${row.screw.id}`)}
    <li class="number" data-mark={row.screw.mark}>
      {@render wires(row.left, 'left')}
      <button
        type="button"
        class="block"
        data-number={row.screw.mark}
        tabindex={index === at ? 0 : -1}
        onfocus={() => (at = index)}
        onclick={() => onopen(row)}
        aria-label="{capital(spot)} {row.screw.mark}: {counted(
          row.left.length + row.right.length,
          'wire',
          'wires'
        )}{row.linked.length > 0 ? `, linked to ${row.linked.join(', ')}` : ''}"
        ><span class="mark">{row.screw.mark}</span>{#if row.screw.does !== 'joint'}<span class="link"
            >{say(MAINS_FUNCTION_NAMES[row.screw.does])}</span
          >{/if}{#if row.linked.length > 0}<span class="link">⟷ {row.linked.join(', ')}</span>{/if}</button
      >
      {@render wires(row.right, 'right')}
    </li>
  {/each}
</ol>

<style>
  .strip {
    display: flex;
    flex-direction: column;
    border: 1px solid var(--color-base-300);
    border-radius: var(--radius-box);
    background: var(--color-base-100);
    overflow: hidden;
  }

  .number {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 4.5rem minmax(0, 1fr);
    align-items: stretch;
    border-bottom: 1px solid var(--color-base-300);
  }

  .number:last-child {
    border-bottom: none;
  }

  .block {
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    min-height: 3rem;
    padding-inline: 0.25rem;
    overflow-wrap: anywhere;
    background: var(--color-base-200);
    border-inline: 2px solid color-mix(in oklab, var(--color-base-content) 55%, transparent);
    cursor: pointer;
  }

  .block:hover {
    background: var(--color-base-300);
  }

  .mark {
    font-size: 1.25rem;
    font-weight: 700;
  }

  .link {
    font-size: 0.75rem;
  }

  .wires {
    display: flex;
    flex-direction: column;
    justify-content: center;
    padding-block: 0.15rem;
    min-width: 0;
  }

  .wire {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    width: 100%;
    min-height: 2.25rem;
    padding: 0 0 0 0.75rem;
    text-align: right;
    cursor: pointer;
  }

  .wire:hover {
    background: color-mix(in oklab, var(--color-base-content) 6%, transparent);
  }

  .says {
    flex: 1;
    min-width: 0;
    font-size: 0.9375rem;
    line-height: 1.2;
  }

  .lead {
    flex: none;
    width: 1.5rem;
    height: 0.4rem;
    background: repeating-linear-gradient(90deg, var(--hue) 0 5px, var(--stripe) 5px 8px);
    border-block: 1px solid color-mix(in oklab, var(--color-base-content) 60%, transparent);
  }

  .right .wire {
    flex-direction: row-reverse;
    padding: 0 0.75rem 0 0;
    text-align: left;
  }

  @media (max-width: 700px) {
    .number {
      grid-template-columns: 3.5rem minmax(0, 1fr);
      grid-template-rows: auto auto;
    }

    .block {
      grid-row: 1 / span 2;
      grid-column: 1;
      border-left: none;
    }

    .wires {
      grid-column: 2;
    }

    .left .wire,
    .right .wire {
      flex-direction: row-reverse;
      text-align: left;
      padding: 0 0.5rem 0 0;
      min-height: 2.75rem;
    }
  }
</style>
