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
      x: fed.map(({ step }) => step.volts!.nominal),
      y: names,
      error_x: {
        type: 'data' as const,
        symmetric: false,
        array: fed.map(({ step: { volts } }) => volts!.high - volts!.nominal),
        arrayminus: fed.map(({ step: { volts } }) => volts!.nominal - volts!.low),
        color: ink(0.6)
      },
      name: 'by the proof, with its band',
      mode: 'markers' as const,
      marker: { size: 9, color: ink(), symbol: 'line-ns-open' }
    },
    {
      x: fed.map(({ readings }) => readings.findLast(({ what }) => what === 'volts')?.value ?? null),
      y: names,
      name: 'read',
      mode: 'markers' as const,
      marker: { size: 11, color: ink(), symbol: 'diamond' }
    }
  ]);
  const limit = (volts: number) => ({
    type: 'line' as const,
    x0: volts,
    x1: volts,
    yref: 'paper' as const,
    y0: 0,
    y1: 1,
    line: { color: ink(), dash: 'dot' as const, width: 1 }
  });
</script>

<Chart
  label="Volts at the thermostat by call, between {window.min} and {window.max} V"
  {data}
  height={110 + 34 * names.length}
  layout={{
    xaxis: { title: { text: 'V' }, range: [window.min - 3, window.max + 4] },
    // Calls have long names: each in a row of its own, the first on top.
    yaxis: { automargin: true, autorange: 'reversed' },
    shapes: [limit(window.min), limit(window.max)]
  }}
/>
