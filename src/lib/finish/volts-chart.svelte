<script lang="ts">
  /** Volts at the thermostat by call: the band of the proof, what was read, and the window of the device. */
  import type { StepStanding } from '$core/handover/results';
  import type { TestPlan } from '$core/handover/test-plan';
  import { callName } from '$core/trade/calls';
  import Chart from '../charts/chart.svelte';
  import { ink } from '../charts/ink';

  interface Props {
    standings: readonly StepStanding[];
    window: TestPlan['window'];
  }

  let { standings, window }: Props = $props();
  const fed = $derived(standings.filter(({ step }) => step.volts !== null && step.kind !== 'zones'));
  const names = $derived(fed.map(({ step }) => callName(step.call)));
  const data = $derived([
    {
      x: names,
      y: fed.map(({ step }) => step.volts!.nominal),
      error_y: {
        type: 'data' as const,
        symmetric: false,
        array: fed.map(({ step: { volts } }) => volts!.high - volts!.nominal),
        arrayminus: fed.map(({ step: { volts } }) => volts!.nominal - volts!.low),
        color: ink(0.6)
      },
      name: 'by the proof, with its band',
      mode: 'markers' as const,
      marker: { size: 9, color: ink(), symbol: 'line-ew-open' }
    },
    {
      x: names,
      y: fed.map(({ readings }) => readings.findLast(({ what }) => what === 'volts')?.value ?? null),
      name: 'read',
      mode: 'markers' as const,
      marker: { size: 11, color: ink(), symbol: 'diamond' }
    }
  ]);
  const limit = (volts: number) => ({
    type: 'line' as const,
    x0: -0.5,
    x1: names.length - 0.5,
    y0: volts,
    y1: volts,
    line: { color: ink(), dash: 'dot' as const, width: 1 }
  });
</script>

<Chart
  label="Volts at the thermostat by call, between {window.min} and {window.max} V"
  {data}
  height={240}
  layout={{
    yaxis: { title: { text: 'V' }, range: [window.min - 3, window.max + 4] },
    shapes: [limit(window.min), limit(window.max)]
  }}
/>
