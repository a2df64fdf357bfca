<script lang="ts">
  /** Links as brackets beside the rows that they join; a stub with the other mark where a terminal has no conductor. */
  import type { LinkView } from './rows';

  interface Props {
    links: readonly LinkView[];
    side: 'wall' | 'equipment';
    /** Middle of each row from the top, pixels. */
    middles: readonly number[];
  }

  let { links, side, middles }: Props = $props();

  const drawn = $derived(links.filter((link) => link.side === side && link.rows.length > 0));
  const height = $derived((middles.at(-1) ?? 0) + 30);
  const WIDTH = 34;

  function path(link: LinkView, lane: number): string {
    const near = side === 'wall' ? WIDTH : 0;
    const far = side === 'wall' ? WIDTH - 12 - lane * 7 : 12 + lane * 7;
    const [first, second] = link.rows;
    const top = middles[first ?? 0] ?? 0;
    const bottom = second === undefined ? top + 15 : (middles[second] ?? top);
    return second === undefined
      ? `M${near} ${top}H${far}V${bottom}`
      : `M${near} ${top}H${far}V${bottom}H${near}`;
  }
</script>

<svg class="gutter" width={WIDTH} {height} aria-hidden="true">
  {#each drawn as link, lane (link.id)}
    <path
      d={path(link, lane)}
      fill="none"
      stroke="currentColor"
      stroke-width={link.moved ? 4 : 2.5}
      stroke-linejoin="round"
    />
    {#if link.rows.length === 1}
      {@const only = link.rows[0] ?? 0}
      <text
        x={side === 'wall' ? WIDTH - 3 : 3}
        y={(middles[only] ?? 0) + 25}
        text-anchor={side === 'wall' ? 'end' : 'start'}
        font-size="12"
        font-weight="700"
        fill="currentColor"
      >
        {link.stub}
      </text>
    {/if}
  {/each}
</svg>

<style>
  .gutter {
    display: block;
    overflow: visible;
  }
</style>
