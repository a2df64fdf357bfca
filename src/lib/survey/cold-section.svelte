<script lang="ts">
  /** How long the house stays warm with the heating off, and the wall work against those hours. */
  import { toShown, unitName } from '$core/trade/units';
  import { ink } from '../charts/ink';
  import Chart from '../charts/chart.svelte';
  import { getPlace } from '../state/context';
  import { hoursText } from './words';

  const place = getPlace();
  const study = $derived(place.study);
  const units = $derived(place.job.units);
  const lowest = $derived(toShown(place.job.survey.lowestC, 'temperature', units));
  const shown = (values: Float64Array) => Array.from(values, (value) => toShown(value, 'temperature', units));
  const shownCooling = $derived(study.workDay ?? study.coldest);
  const when = $derived(study.workDay ? 'work day' : 'coldest weather');
  const hours = $derived(Array.from(shownCooling.mid, (_, hour) => hour));
  const total = $derived(study.withoutHeatH.usual);
  const tooLong = $derived(study.workDay !== null && study.workDay.hours.low < total);
  const data = $derived([
    {
      x: hours,
      y: shown(shownCooling.mid),
      name: `inside, ${when}`,
      mode: 'lines' as const,
      line: { color: ink(), width: 3 }
    },
    {
      x: hours,
      y: shown(shownCooling.worst),
      name: `inside, ${when}, worst case`,
      mode: 'lines' as const,
      line: { color: ink(), width: 2, dash: 'dash' as const }
    },
    ...(study.workDay
      ? [
          {
            x: hours,
            y: shown(study.coldest.worst),
            name: 'inside, coldest day, worst case',
            mode: 'lines' as const,
            line: { color: ink(0.75), width: 2, dash: 'dot' as const }
          }
        ]
      : []),
    {
      x: hours,
      y: shown(shownCooling.outdoorC),
      name: 'outside',
      mode: 'lines' as const,
      line: { color: ink(0.45), width: 1 }
    }
  ]);
</script>

<section class="sheet-of-paper p-4">
  <h2 class="section-title mb-1">Hours without heat</h2>
  <p class="mb-2">
    From {toShown(place.job.survey.habits.comfortC, 'temperature', units).toFixed(0)}
    {unitName('temperature', units)} the house is at {lowest.toFixed(0)}
    {unitName('temperature', units)}
    {#if study.workDay}after <b>{hoursText(study.workDay.hours.mid)}</b> on the work day ({hoursText(
        study.workDay.hours.low
      )} in the worst case), and{/if} after <b>{hoursText(study.coldest.hours.mid)}</b> in the coldest weather
    ({hoursText(study.coldest.hours.low)} in the worst case).{#if !study.workDay}
      Give the day of the work to see that day.{/if}
  </p>
  <Chart
    label="Temperature inside with the heating off, over four days, against time"
    {data}
    layout={{
      xaxis: { title: { text: 'hours from the switch-off' }, range: [0, 48] },
      yaxis: { title: { text: unitName('temperature', units) } },
      shapes: [
        {
          type: 'line',
          x0: 0,
          x1: 48,
          y0: lowest,
          y1: lowest,
          line: { color: ink(0.8), width: 1, dash: 'dashdot' }
        },
        {
          type: 'line',
          x0: total,
          x1: total,
          yref: 'paper',
          y0: 0,
          y1: 1,
          line: { color: ink(0.8), width: 1 }
        }
      ],
      annotations: [
        {
          x: total,
          y: 0,
          yref: 'paper',
          text: ' work done',
          showarrow: false,
          xanchor: 'left',
          yanchor: 'bottom'
        },
        { x: 48, y: lowest, text: 'not below', showarrow: false, xanchor: 'right', yanchor: 'bottom' }
      ]
    }}
  />
  <h3 class="mt-3 mb-1 font-semibold">
    The work: {hoursText(total)} without heat, {hoursText(study.withoutHeatH.late)} when it goes badly{tooLong
      ? ': too long for that day'
      : ''}
  </h3>
  <ol class="tasks">
    {#each study.tasks as task (task.id)}
      <li>
        <span>{task.name}</span>
        <span class="track" aria-hidden="true"
          ><span
            class:drying={task.drying}
            style:left="{(task.start / total) * 100}%"
            style:width="{Math.max(1.5, (task.hours / total) * 100)}%"
          ></span></span
        >
        <span class="text-right">{hoursText(task.hours)}</span>
      </li>
    {/each}
  </ol>
</section>

<style>
  .tasks li {
    display: grid;
    grid-template-columns: minmax(0, 14rem) 1fr 6rem;
    gap: 0.75rem;
    align-items: center;
    padding: 0.2rem 0;
  }

  .track {
    position: relative;
    height: 0.75rem;
    background: var(--color-base-200);
    border-radius: 999px;
  }

  .track > span {
    position: absolute;
    inset-block: 0;
    background: var(--color-base-content);
    border-radius: 999px;
  }

  .track > .drying {
    background: repeating-linear-gradient(
      115deg,
      var(--color-base-content) 0 2px,
      var(--color-base-300) 2px 6px
    );
  }

  @media (max-width: 600px) {
    .tasks li {
      grid-template-columns: 1fr 6rem;
    }

    .track {
      grid-column: 1 / -1;
      grid-row: 2;
    }
  }
</style>
