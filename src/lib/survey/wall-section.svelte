<script lang="ts">
  /** The old outline against the new plate, drawn to scale. */
  import { ANY_CONNECTED } from '$core/match/catalogue';
  import { fitWall } from '$core/survey/wall';
  import { shownText } from '$core/trade/units';
  import type { SurveyCard } from '$core/questions/survey-cards';
  import { getPlace } from '../state/context';
  import CardLines from './card-lines.svelte';

  interface Props {
    cards: readonly SurveyCard[];
  }

  let { cards }: Props = $props();
  const place = getPlace();
  const face = $derived(place.thermostat.face);
  const device = $derived(place.device ?? ANY_CONNECTED);
  const fit = $derived(fitWall(face, device));
  const units = $derived(place.job.units);
  const span = $derived(Math.max(...fit.plate, ...(fit.outline ?? [0]), ...(fit.coverPlate ?? [0])) + 30);
  const size = (pair: readonly [number, number]) =>
    `${shownText(pair[0], 'small-length', units, units.length === 'ft' ? 1 : 0).replace(/ .*/, '')} × ${shownText(pair[1], 'small-length', units, units.length === 'ft' ? 1 : 0)}`;
  const advised = {
    nothing: 'leave the wall',
    plate: 'a cover plate',
    patch: 'patch and paint',
    both: 'patch, then a cover plate',
    measure: 'measure first'
  };
  const boxes = {
    none: [0, 0],
    unknown: [0, 0],
    upright: [50, 75],
    flat: [75, 50],
    round: [60, 60]
  } as const;
</script>

<section class="sheet-of-paper p-4">
  <h2 class="section-title mb-1">The wall</h2>
  <div class="grid gap-4 sm:grid-cols-[minmax(0,1fr)_14rem]">
    <div><CardLines {cards} /></div>
    <figure>
      <svg
        viewBox="{-span / 2} {-span / 2} {span} {span}"
        class="w-full"
        role="img"
        aria-label="Old mark and new plate, drawn to scale"
      >
        {#if fit.coverPlate}<rect
            class="cover"
            x={-fit.coverPlate[0] / 2}
            y={-fit.coverPlate[1] / 2}
            width={fit.coverPlate[0]}
            height={fit.coverPlate[1]}
            rx="3"
          />{/if}
        {#if fit.outline}<rect
            class="old"
            x={-fit.outline[0] / 2}
            y={-fit.outline[1] / 2}
            width={fit.outline[0]}
            height={fit.outline[1]}
          />{/if}
        <rect
          class="plate"
          x={-fit.plate[0] / 2}
          y={-fit.plate[1] / 2}
          width={fit.plate[0]}
          height={fit.plate[1]}
          rx="6"
        />
        {#if boxes[face.box][0] > 0}<rect
            class="box"
            x={-boxes[face.box][0] / 2}
            y={-boxes[face.box][1] / 2}
            width={boxes[face.box][0]}
            height={boxes[face.box][1]}
            rx={face.box === 'round' ? 30 : 2}
          />{/if}
        <text y="4" text-anchor="middle" font-size={span / 18}>new plate</text>
      </svg>
      <figcaption class="quiet text-sm">
        Plate {size(fit.plate)}{fit.outline ? `, old mark ${size(fit.outline)} (dashed)` : ''}{fit.coverPlate
          ? `, cover plate from ${size(fit.coverPlate)} (outer line)`
          : ''}.
      </figcaption>
    </figure>
  </div>
  <p class="mt-2"><b>Advice: {advised[fit.advice]}.</b> {fit.why}</p>
</section>

<style>
  svg {
    max-height: 15rem;
  }

  rect {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 1.5;
  }

  .old {
    stroke-dasharray: 6 4;
  }

  .plate {
    fill: color-mix(in oklab, var(--color-base-content) 12%, var(--color-base-100));
  }

  .box {
    stroke-dasharray: 2 3;
    stroke-width: 1;
  }

  .cover {
    stroke-width: 0.8;
  }

  text {
    fill: var(--color-base-content);
  }
</style>
