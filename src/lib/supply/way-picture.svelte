<script lang="ts">
  /** What a way changes, small: each wire that moves with its two ends, what moves filled; then the parts that come. */
  import { COLOURS } from '$core/trade/colours';
  import type { Wiring } from '$core/wiring/graph';
  import { changeView, endText, type EndView, type RowView } from '../sheet/rows';

  interface Props {
    before: Wiring;
    after: Wiring;
  }

  let { before, after }: Props = $props();
  const MOST = 4;
  const ROW = 22;
  const change = $derived(changeView(before, after));
  const rows = $derived(change.rows.slice(0, MOST));
  const more = $derived(change.rows.length - rows.length);
  const mark = (end: EndView) => endText(end) || '–';
  const says = ({ name, wall, equipment, fresh }: RowView) =>
    `${fresh ? 'new ' : ''}${name}: ${mark(wall)} at the wall, ${mark(equipment)} at the equipment`;
  const label = $derived(
    [...change.rows.map(says), ...change.parts, ...change.jumpers].join('; ') || 'nothing moves'
  );
</script>

{#snippet end(view: EndView, x: number, y: number)}
  <g class:moved={view.moved}>
    <rect {x} {y} width="42" height="18" rx="3" />
    <text x={x + 21} y={y + 13} text-anchor="middle">{mark(view)}</text>
  </g>
{/snippet}

<div class="text-sm">
  {#if rows.length > 0}
    <svg
      viewBox="0 0 180 {rows.length * ROW}"
      width="180"
      height={rows.length * ROW}
      role="img"
      aria-label={label}
    >
      {#each rows as row, at (row.id)}
        {@const y = at * ROW + 2}
        {#each ['edge', 'wire'] as part (part)}
          <line
            class={part}
            class:fresh={row.fresh}
            x1="44"
            x2="136"
            y1={y + 9}
            y2={y + 9}
            style:--hue={row.colour ? COLOURS[row.colour].hex : 'transparent'}
          />
        {/each}
        <text class="code" x="90" y={y + 5} text-anchor="middle"
          >{row.colour ?? ''}{row.fresh ? ' new' : ''}</text
        >
        {@render end(row.wall, 0, y)}
        {@render end(row.equipment, 138, y)}
      {/each}
    </svg>
  {/if}
  {#if more > 0}<span class="quiet block">and {more} more</span>{/if}
  {#each [...change.parts, ...change.jumpers] as text (text)}<span class="block">+ {text}</span>{/each}
</div>

<style>
  rect {
    fill: var(--color-base-100);
    stroke: color-mix(in oklab, var(--color-base-content) 55%, transparent);
  }

  text {
    fill: var(--color-base-content);
    font-size: 10px;
    font-weight: 600;
  }

  .code {
    font-size: 9px;
    paint-order: stroke;
    stroke: var(--color-base-100);
    stroke-width: 3px;
  }

  .moved rect {
    fill: var(--color-base-content);
  }

  .moved text {
    fill: var(--color-base-100);
  }

  .edge {
    stroke: color-mix(in oklab, var(--color-base-content) 60%, transparent);
    stroke-width: 5;
  }

  .wire {
    stroke: var(--hue);
    stroke-width: 3.5;
  }

  .fresh {
    stroke-dasharray: 8 4;
  }
</style>
