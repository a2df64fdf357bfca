<script lang="ts">
  /** One conductor drawn from the wall (left) to the equipment (right). Ends are told by their shape, never by colour alone. */
  import { COLOURS, type ColourCode } from '$core/trade/colours';
  import type { EndSide } from '$core/trade/vocabulary';
  import type { StrandReading } from '$core/session/strand-readings';
  import type { RowView } from './rows';

  interface Props {
    row: RowView;
    /** The end that is drawn when only one is shown. */
    only?: EndSide | null;
    /** What it carries, where the sheet is powered up. */
    reading?: StrandReading | null;
  }

  let { row, only = null, reading = null }: Props = $props();

  const hex = (code: ColourCode | null) => (code ? COLOURS[code].hex : 'var(--color-base-300)');
  const ends = $derived(only === null ? (['wall', 'equipment'] as const) : ([only] as const));
</script>

<span class="run" data-only={only ?? 'both'} data-live={reading?.state} aria-hidden="true">
  {#each ends as side (side)}
    {@const code = side === 'wall' ? row.colour : row.colourBeyond}
    <span
      class="half {side}"
      data-state={row[side].state}
      style:--hue={hex(code)}
      style:--stripe={row.stripe ? hex(row.stripe) : 'transparent'}
    >
      <span class="tip">
        {#if row[side].state === 'coiled'}
          <svg viewBox="0 0 24 24" width="24" height="24"
            ><path
              d="M12 12c0-2 3-2 3 .5S11 16 9 13.500 10 7 14 7.500 19 13 15.500 17"
              fill="none"
              stroke="currentColor"
              stroke-width="2.200"
              stroke-linecap="round"
            /></svg
          >
        {:else if row[side].state === 'unseen'}
          <span class="ask">?</span>
        {/if}
      </span>
      <span class="line" class:striped={row.stripe !== null} class:bare={code === null}></span>
    </span>
  {/each}
  {#if reading && reading.state !== 'dead'}<span class="pulse" data-live={reading.state}></span>{/if}
  {#if reading}<span class="sleeve">{reading.text}</span>{/if}
  {#if row.spliced !== 'no' && only === null}
    <span class="knot" class:hidden-knot={row.spliced === 'hidden'}></span>
  {/if}
</span>

<style>
  .run {
    position: relative;
    display: flex;
    height: 100%;
    align-items: center;
    width: 100%;
  }

  .half {
    position: relative;
    display: flex;
    align-items: center;
    flex: 1;
    height: 1.5rem;
  }

  .half.equipment {
    flex-direction: row-reverse;
  }

  .line {
    flex: 1;
    height: 0.7rem;
    background: var(--hue);
    border: 1.5px solid color-mix(in oklab, var(--color-base-content) 62%, transparent);
    border-left-width: 0;
    border-right-width: 0;
  }

  .line.striped {
    background: repeating-linear-gradient(115deg, var(--hue) 0 10px, var(--stripe) 10px 15px);
  }

  .line.bare {
    border-style: dashed;
  }

  /* The tip: bare metal into a terminal; a gap when loose; a curl when coiled; a question when nobody looked. */
  .tip {
    display: inline-flex;
    align-items: center;
    justify-content: center;
    flex: none;
    width: 0.9rem;
    height: 0.3rem;
  }

  .half[data-state='landed'] .tip {
    background: color-mix(in oklab, var(--color-base-content) 50%, var(--color-base-100));
  }

  .half[data-state='loose'] .tip {
    width: 1.9rem;
    background: linear-gradient(
      90deg,
      transparent 50%,
      color-mix(in oklab, var(--color-base-content) 50%, var(--color-base-100)) 50%
    );
  }

  .half.equipment[data-state='loose'] .tip {
    background: linear-gradient(
      270deg,
      transparent 50%,
      color-mix(in oklab, var(--color-base-content) 50%, var(--color-base-100)) 50%
    );
  }

  .half[data-state='coiled'] .tip {
    width: 1.9rem;
    height: 1.5rem;
  }

  .half.equipment[data-state='coiled'] .tip svg {
    transform: scaleX(-1);
  }

  .half[data-state='unseen'] .tip {
    width: 1.9rem;
    height: 1.5rem;
    font-weight: 700;
  }

  .half[data-state='unseen'].wall .line {
    mask-image: linear-gradient(90deg, transparent, #000 60%);
  }

  .half[data-state='unseen'].equipment .line {
    mask-image: linear-gradient(270deg, transparent, #000 60%);
  }

  /* Live is told by weight, marks and motion, not by hue: the insulation keeps its colour. */
  .run[data-live='carries'] .line {
    height: 1rem;
    border-width: 2.5px 0;
    border-color: var(--color-base-content);
  }

  .run[data-live='dead'] .line {
    height: 0.45rem;
    opacity: 0.55;
  }

  .pulse {
    position: absolute;
    inset-inline: 0.9rem;
    height: 0.28rem;
    z-index: 1;
    /* A light core with dark ends is seen on every insulation. */
    background: repeating-linear-gradient(
      90deg,
      var(--color-base-content) 0 3px,
      var(--color-base-100) 3px 10px,
      var(--color-base-content) 10px 13px,
      transparent 13px 26px
    );
  }

  .pulse[data-live='carries'] {
    animation: flow 1.1s linear infinite;
  }

  .pulse[data-live='waits'] {
    height: 0.25rem;
    background: repeating-linear-gradient(90deg, var(--color-base-content) 0 5px, transparent 5px 26px);
  }

  @keyframes flow {
    to {
      background-position: 26px 0;
    }
  }

  .sleeve {
    position: absolute;
    left: 50%;
    transform: translateX(-50%);
    z-index: 2;
    padding: 0.05rem 0.45rem;
    border-radius: 0.25rem;
    border: 1px solid color-mix(in oklab, var(--color-base-content) 45%, transparent);
    background: var(--color-base-100);
    font-size: 0.8125rem;
    white-space: nowrap;
  }

  .knot {
    position: absolute;
    left: 78%;
    width: 0.95rem;
    height: 0.95rem;
    transform: translateX(-50%) rotate(45deg);
    background: var(--color-base-100);
    border: 2px solid var(--color-base-content);
    z-index: 2;
  }

  .hidden-knot {
    border-style: dashed;
  }
</style>
