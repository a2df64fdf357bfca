<script lang="ts">
  /** A chart, loaded only where one is shown. Ink and dashes tell the lines apart, not hues; the same numbers stand in words beside it. */
  import { onMount } from 'svelte';
  import type * as Plotly from 'plotly.js-basic-dist-min';
  import type { Data, Layout } from 'plotly.js';

  interface Props {
    /** What it shows, for screen readers. */
    label: string;
    data: Data[];
    layout?: Partial<Layout>;
    height?: number;
  }

  let { label, data, layout = {}, height = 260 }: Props = $props();
  let holder: HTMLDivElement | undefined = $state();
  let plotly: typeof Plotly | null = $state.raw(null);
  let trouble = $state('');
  let theme = $state('');

  onMount(() => {
    import('plotly.js-basic-dist-min').then(
      (loaded) =>
        (plotly = 'default' in loaded ? (loaded as unknown as { default: typeof loaded }).default : loaded),
      () => (trouble = 'The chart could not be loaded; the numbers stand beside it.')
    );
    const watch = new MutationObserver(() => (theme = document.documentElement.dataset['theme'] ?? ''));
    watch.observe(document.documentElement, { attributeFilter: ['data-theme'] });
    return () => {
      watch.disconnect();
      if (holder) plotly?.purge(holder);
    };
  });

  $effect(() => {
    if (!plotly || !holder) return;
    void theme;
    const style = getComputedStyle(document.documentElement);
    const ink = style.getPropertyValue('--color-base-content').trim();
    const faint = style.getPropertyValue('--color-base-300').trim();
    const axis = { gridcolor: faint, zerolinecolor: faint, linecolor: ink };
    const frame = {
      height,
      margin: { l: 48, r: 12, t: 8, b: 44 },
      paper_bgcolor: 'rgba(0,0,0,0)',
      plot_bgcolor: 'rgba(0,0,0,0)',
      font: { family: style.fontFamily || 'sans-serif', size: 13, color: ink },
      legend: { orientation: 'h', x: 0, y: 1.02, yanchor: 'bottom' },
      ...layout,
      xaxis: { ...axis, ...layout.xaxis },
      yaxis: { ...axis, ...layout.yaxis }
    } as const;
    const { react } = plotly;
    const [on, shown] = [holder, data];
    // The page first as it has become, then axes, then what stands on them, each in a turn of its own: all at once would keep it from answering.
    const turns = drawn ? [shown] : [[], shown];
    drawn = true;
    let turn = setTimeout(next, AFTER_PAINT_MS);
    function next(): void {
      const now = turns.shift();
      if (!now) return;
      void react(on, now, frame, config());
      turn = setTimeout(next);
    }
    return () => clearTimeout(turn);
  });

  /** Longer than a frame: what has changed is laid out and painted by then. */
  const AFTER_PAINT_MS = 20;

  let drawn = false;
  const config = () => ({
    displayModeBar: false,
    responsive: true,
    staticPlot: matchMedia('(pointer: coarse)').matches
  });
</script>

<div role="img" aria-label={label} style:min-height="{height}px" class="w-full">
  <div bind:this={holder} aria-hidden="true"></div>
  {#if trouble}<p class="quiet text-sm">{trouble}</p>{/if}
</div>
