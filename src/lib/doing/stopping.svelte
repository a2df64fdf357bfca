<script lang="ts">
  /** If one stops here: what is on, whether the house heats as it stands, and how long it may stay so. */
  import { stoppingPoint } from '$core/plan/hands';
  import type { Plan } from '$core/plan/plan';
  import { quantityText } from '$core/trade/figures';
  import { toShown, unitName } from '$core/trade/units';
  import { getPlace } from '../state/context';
  import { hoursText } from '../survey/words';

  interface Props {
    plan: Plan;
  }

  let { plan }: Props = $props();
  const place = getPlace();
  const point = $derived(stoppingPoint(plan));
  const cooling = $derived(place.study.workDay ?? place.study.coldest);
  const works = (name: string, can: boolean | null) =>
    can === null
      ? []
      : [`${name} ${can ? 'would work' : 'would not work'} as it stands, once there is power.`];
  const lines = $derived([
    point.power === 'off' ? 'The power is off, by your steps.' : 'The power is on, as far as your steps say.',
    ...works('Heating', point.heats),
    ...works('Cooling', point.cools),
    point.hanging > 0
      ? `${quantityText(point.hanging, 'wire end')} that ${point.hanging === 1 ? 'was' : 'were'} on a screw hang free: no power before each is landed or capped.`
      : 'No wire hangs free.'
  ]);
  const lowest = $derived(
    `${toShown(place.job.survey.lowestC, 'temperature', place.job.units).toFixed(0)} ${unitName('temperature', place.job.units)}`
  );
</script>

<ul class="list-disc pl-5" data-heats={point.heats} data-power={point.power}>
  {#each lines as line (line)}<li>{line}</li>{/each}
  {#if point.power === 'off' || point.heats === false}
    <li>
      Without heat the house stays above {lowest} for about {hoursText(cooling.hours.low)} in the worst case{place
        .study.workDay
        ? ' on that day'
        : ' in the coldest weather'}.
    </li>
  {/if}
</ul>
