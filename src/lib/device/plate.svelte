<script lang="ts">
  /** The plate to scale, with its terminals, beside the hand's width that one knows. */
  import type { DeviceFacts } from '$core/job/device-facts';
  import { say } from '../words/manner.svelte';

  interface Props {
    device: DeviceFacts;
  }

  let { device }: Props = $props();
  /** Pixels for a millimetre: a plate of 150 mm still fits a phone. */
  const SCALE = 1.5;
  const width = $derived(device.plateWidthMm * SCALE);
  const height = $derived(device.plateHeightMm * SCALE);
  const columns = $derived(Math.max(1, Math.min(4, Math.floor(width / 42))));
  const rows = $derived(Math.ceil(device.marks.length / columns));
</script>

<svg
  class="max-w-full"
  width={width + 2}
  height={height + 22}
  viewBox="-1 -1 {width + 2} {height + 22}"
  role="img"
  aria-label="Plate of {device.plateWidthMm} by {device.plateHeightMm} {say(
    'millimetres'
  )} with the terminals {device.marks.join(', ')}"
>
  <rect {width} {height} rx="10" fill="none" stroke="currentColor" stroke-width="1.5" />
  {#each device.marks as mark, at (mark)}
    {@const x = ((at % columns) + 0.5) * (width / columns)}
    {@const y = (Math.floor(at / columns) + 0.5) * (height / rows)}
    <rect x={x - 18} y={y - 10} width="36" height="20" rx="3" fill="none" stroke="currentColor" />
    <text {x} y={y + 4} font-size="11" font-weight="bold" text-anchor="middle" fill="currentColor"
      >{mark}</text
    >
  {/each}
  <text x={width / 2} y={height + 16} font-size="11" text-anchor="middle" fill="currentColor"
    >{device.plateWidthMm} × {device.plateHeightMm} mm</text
  >
</svg>
