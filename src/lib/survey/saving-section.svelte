<script lang="ts">
  /** What a setback saves, and when the thermostat has paid for itself. */
  import { ink } from '../charts/ink';
  import Chart from '../charts/chart.svelte';
  import { savingPlace } from '$core/survey/heat-source-in';
  import { USUAL_PRICE } from '$core/survey/house-study';
  import { getPlace } from '../state/context';
  import { manner, money } from '../words/manner.svelte';

  const place = getPlace();
  const savingAt = $derived(savingPlace(place.job));
  const elsewhere = $derived(
    savingAt === place.thermostat.id
      ? null
      : (place.job.thermostats.find((thermostat) => thermostat.id === savingAt) ?? null)
  );
  const saving = $derived(place.study.saving);
  const outlay = $derived(place.study.outlay);
  const thermostatWords = $derived(
    place.study.thermostats < 2
      ? ''
      : place.study.thermostats === 2
        ? ' Both thermostats are in it.'
        : ` All ${place.study.thermostats} thermostats are in it.`
  );
  const recoveryWords = $derived(
    saving.recovery && saving.recovery.coldH > 1
      ? ` After a setback the house takes about ${saving.recovery.usualH} h to be warm again, ${saving.recovery.coldH} h on a cold day.`
      : ''
  );
  const years = Array.from({ length: 16 }, (_, year) => year);
  const after = (perYear: number) => years.map((year) => year * perYear - outlay);
  const yearsText = (value: number) => (value === Infinity ? 'never' : `${value.toFixed(1)} years`);
</script>

<section class="sheet-of-paper p-4">
  <h2 class="section-title mb-1">What it saves</h2>
  {#if savingAt === null}
    <p>Nothing is worked out while every thermostat in the house has a stop.</p>
  {:else if elsewhere}
    <p>
      A house saves once, whatever hangs on its walls: the figures stand at
      <a class="underline" href="/job/{place.job.id}/{elsewhere.id}/survey">{elsewhere.name}</a>.
    </p>
  {:else if saving.possible}
    <p class="mb-2">
      About <b>{money(saving.dollars.mid)} a year</b> ({money(saving.dollars.low)} to {money(
        saving.dollars.high
      )}): {saving.heatKWh.mid.toFixed(0)} of {saving.withoutKWh.toFixed(0)} kWh of heat. {money(outlay)} are back
      in
      <b>{yearsText(saving.payBackYears.mid)}</b> ({yearsText(saving.payBackYears.low)} to {yearsText(
        saving.payBackYears.high
      )}).{thermostatWords}{place.study.unpriced > 0
        ? ` ${money(USUAL_PRICE)} is taken for ${place.study.unpriced === 1 ? 'the one' : `each of the ${place.study.unpriced}`} that is not chosen.`
        : ''} Saved cooling is not in it.{recoveryWords}
    </p>
    <Chart
      label="Saved less spent, against years"
      height={240}
      data={[
        {
          x: years,
          y: after(saving.dollars.mid),
          name: 'middle',
          mode: 'lines',
          line: { color: ink(), width: 3 }
        },
        {
          x: years,
          y: after(saving.dollars.low),
          name: 'least',
          mode: 'lines',
          line: { color: ink(), width: 1.5, dash: 'dash' }
        },
        {
          x: years,
          y: after(saving.dollars.high),
          name: 'most',
          mode: 'lines',
          line: { color: ink(), width: 1.5, dash: 'dot' }
        }
      ]}
      layout={{
        xaxis: { title: { text: 'years' } },
        yaxis: {
          title: { text: `${manner().currency} saved less spent` },
          automargin: true,
          zeroline: true,
          zerolinewidth: 2
        }
      }}
    />
  {:else}
    <p>
      <b
        >{saving.costs
          ? 'Setting back would cost:'
          : outlay === 0
            ? 'It saves nothing:'
            : 'It will not pay:'}</b
      >
      {saving.why ?? 'the saving would be next to nothing'}. What is left is reaching it from outside, and
      what it shows.
    </p>
  {/if}
</section>
