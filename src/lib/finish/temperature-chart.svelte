<script lang="ts">
  /** Temperatures against time while a test runs: register and return, from the readings that were kept. */
  import type { StepStanding } from '$core/handover/results';
  import { toShown, unitName } from '$core/trade/units';
  import Chart from '../charts/chart.svelte';
  import { ink } from '../charts/ink';
  import { getPlace } from '../state/context';

  interface Props {
    standing: StepStanding;
  }

  let { standing }: Props = $props();
  const place = getPlace();
  const units = $derived(place.job.units);
  const since = $derived(Date.parse(standing.readings[0]?.at ?? ''));
  const line = (what: 'supply-air' | 'return-air', name: string, dash: 'solid' | 'dash') => {
    const own = standing.readings.filter((reading) => reading.what === what);
    return {
      x: own.map(({ at }) => (Date.parse(at) - since) / 60_000),
      y: own.map(({ value }) => toShown(value, 'temperature', units)),
      name,
      mode: 'lines+markers' as const,
      line: { color: ink(), width: 2, dash },
      marker: { size: 8 }
    };
  };
  const data = $derived([line('supply-air', 'register', 'solid'), line('return-air', 'return', 'dash')]);
</script>

<Chart
  label="Temperature at the register and at the return, against minutes"
  {data}
  height={200}
  layout={{
    xaxis: { title: { text: 'minutes' } },
    yaxis: { title: { text: unitName('temperature', units) } }
  }}
/>
