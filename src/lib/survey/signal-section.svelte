<script lang="ts">
  /** The radio signal where the thermostat will hang. */
  import { GOOD_DBM, MARGINAL_DBM, simulatedReading, summariseSignal } from '$core/survey/signal';
  import type { SignalReading } from '$core/job/survey-schema';
  import { ink } from '../charts/ink';
  import Chart from '../charts/chart.svelte';
  import { getPlace } from '../state/context';
  import { setThermostat } from '../state/set';
  import { typedHere } from '../state/typed.svelte';

  const place = getPlace();
  const readings = $derived(place.thermostat.signal);
  const summary = $derived(summariseSignal(readings));
  const grades = { good: 'Good', marginal: 'Marginal', poor: 'Poor', 'not-read': 'Not read yet' };
  const typed = typedHere('signal', { dbm: '' });
  const value = $derived(Number(typed.dbm.replace(',', '.').replace('−', '-')));
  const holds = $derived(typed.dbm.trim() !== '' && Number.isFinite(value) && value <= 0 && value >= -120);

  function add(dbm: number, source: SignalReading['source']): void {
    const reading = { dbm, at: new Date().toISOString(), source };
    setThermostat(place, 'signal', [...readings, reading].slice(-200), `Signal ${dbm} dBm`);
  }

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    if (!holds) return;
    add(value, 'typed');
    typed.dbm = '';
  }
</script>

<section class="sheet-of-paper p-4">
  <h2 class="section-title mb-1">Signal at the wall: {grades[summary.grade].toLowerCase()}</h2>
  <p class="quiet mb-2 text-sm">
    Better than {GOOD_DBM} dBm is good, down to {MARGINAL_DBM} marginal, below that poor. Hold the phone against
    the old plate, and read more than once: doors, people and the microwave change it.
  </p>
  <form class="flex flex-wrap items-end gap-2" onsubmit={submit}>
    <label class="flex flex-1 flex-col gap-1 text-sm"
      >dBm, as the phone shows it
      <input class="input w-full" placeholder="-62" bind:value={typed.dbm} />
    </label>
    <button class="btn btn-primary" disabled={!holds}>Record</button>
    <button
      type="button"
      class="btn btn-outline"
      onclick={() => add(simulatedReading(place.thermostat.name, readings.length), 'simulated')}
      >Simulated meter</button
    >
  </form>
  {#if typed.dbm !== '' && !holds}<p class="mt-1 text-sm" role="alert">A number from -120 to 0.</p>{/if}
  {#if readings.length > 0}
    <p class="mt-3">
      {readings.length}
      {readings.length === 1 ? 'reading' : 'readings'}: {summary.median} dBm in the middle, {summary.worst} at worst{readings.some(
        (reading) => reading.source === 'simulated'
      )
        ? ' (simulated ones among them)'
        : ''}.
      <button
        type="button"
        class="btn btn-ghost btn-sm"
        onclick={() => setThermostat(place, 'signal', readings.slice(0, -1), 'Last reading taken out')}
        >Remove the last</button
      >
    </p>
    <Chart
      label="Signal readings in dBm, in the order in which they were taken"
      height={180}
      data={[
        {
          x: readings.map((_, index) => index + 1),
          y: readings.map((reading) => reading.dbm),
          mode: 'lines+markers',
          line: { color: ink(), width: 2 },
          marker: {
            size: 8,
            symbol: readings.map((reading) => (reading.source === 'simulated' ? 'circle-open' : 'circle'))
          },
          name: 'dBm'
        }
      ]}
      layout={{
        xaxis: { title: { text: 'reading' }, dtick: 1 },
        yaxis: { range: [-95, -35], title: { text: 'dBm' } },
        shapes: [GOOD_DBM, MARGINAL_DBM].map((level) => ({
          type: 'line' as const,
          xref: 'paper' as const,
          x0: 0,
          x1: 1,
          y0: level,
          y1: level,
          line: { color: ink(0.7), width: 1, dash: 'dash' as const }
        })),
        annotations: [
          {
            x: 1,
            xref: 'paper',
            y: GOOD_DBM,
            text: 'good',
            showarrow: false,
            yanchor: 'bottom',
            xanchor: 'right'
          },
          {
            x: 1,
            xref: 'paper',
            y: MARGINAL_DBM,
            text: 'poor below',
            showarrow: false,
            yanchor: 'top',
            xanchor: 'right'
          }
        ]
      }}
    />
  {/if}
</section>
