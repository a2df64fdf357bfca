<script lang="ts">
  /** The way that a new cable would take. */
  import { SHORT_TEXT } from '$core/job/primitives';
  import { PATH_QUESTIONS } from '$core/questions/wall-questions';
  import { cableAdvice, MOST_DROP_V } from '$core/survey/cable-path';
  import { LIMITS } from '$core/job/limits';
  import type { Stretch } from '$core/job/survey-schema';
  import { fromShown, shownText, unitName } from '$core/trade/units';
  import ChoiceField from '../fields/choice-field.svelte';
  import QuestionField from '../questions/question-field.svelte';
  import { getPlace } from '../state/context';
  import { setThermostat } from '../state/set';
  import { typedHere } from '../state/typed.svelte';

  const place = getPlace();
  const path = $derived(place.thermostat.path);
  const units = $derived(place.job.units);
  const used = $derived(
    place.thermostat.conductors.filter((conductor) => conductor.near.state === 'landed').length
  );
  const advice = $derived(cableAdvice(path, used + 1));
  const typed = typedHere('stretch', { name: '', length: '', held: 'unknown' as Stretch['held'] });
  const metres = $derived(fromShown(Number(typed.length.replace(',', '.')), 'length', units));
  const holds = $derived(typed.length.trim() !== '' && metres > 0 && metres <= 300);
  const heldWords = { free: 'free', stapled: 'stapled', unknown: 'not known' };

  function add(event: SubmitEvent): void {
    event.preventDefault();
    if (!holds) return;
    const stretch: Stretch = {
      name: typed.name.trim() || `stretch ${path.stretches.length + 1}`,
      lengthM: metres,
      held: typed.held
    };
    setThermostat(
      place,
      'path',
      { ...path, stretches: [...path.stretches, stretch] },
      `Stretch ${stretch.name}`
    );
    typed.name = '';
    typed.length = '';
  }
</script>

<section class="sheet-of-paper p-4">
  <h2 class="section-title mb-1">The path of a new cable</h2>
  {#if path.stretches.length === 0}<p class="quiet mb-2 text-sm">
      Stretch by stretch, from the plate to the machine: inside the wall, over the ceiling, down the cellar
      stair.
    </p>{/if}
  <ul class="mb-2">
    {#each path.stretches as stretch, index (index)}
      <li class="flex items-center justify-between gap-2 border-b border-base-300 py-1">
        <span
          >{stretch.name}: {shownText(stretch.lengthM, 'length', units, 1)}, {heldWords[stretch.held]}</span
        >
        <button
          type="button"
          class="btn btn-ghost btn-sm"
          aria-label="Remove {stretch.name}"
          onclick={() =>
            setThermostat(
              place,
              'path',
              { ...path, stretches: path.stretches.filter((_, at) => at !== index) },
              'Stretch taken out'
            )}>Remove</button
        >
      </li>
    {/each}
  </ul>
  <form class="grid grid-cols-2 items-end gap-2 sm:grid-cols-4" onsubmit={add}>
    <label class="flex flex-col gap-1 text-sm"
      >Stretch <input class="input w-full" maxlength={SHORT_TEXT} bind:value={typed.name} /></label
    >
    <label class="flex flex-col gap-1 text-sm"
      >Length, {unitName('length', units)}
      <input class="input w-full" inputmode="decimal" bind:value={typed.length} /></label
    >
    <ChoiceField
      label="Held"
      value={typed.held}
      choices={[
        ['unknown', 'not known'],
        ['free', 'free'],
        ['stapled', 'stapled']
      ]}
      onset={(value) => (typed.held = value)}
    />
    <button class="btn btn-outline" disabled={!holds || path.stretches.length >= LIMITS.stretches.most}
      >Add</button
    >
  </form>
  {#if path.stretches.length > 0}
    <div class="mt-3 grid gap-3 sm:grid-cols-[12rem_1fr]">
      <QuestionField
        question={PATH_QUESTIONS.more}
        value={path.more}
        onset={(more) =>
          typeof more === 'number' &&
          setThermostat(place, 'path', { ...path, more }, PATH_QUESTIONS.more.label)}
      />
      <div>
        <p><b>Buy:</b> {advice.buy}.</p>
        <p class="quiet text-sm">
          {shownText(advice.wayM, 'length', units, 1)} of way, with slack {shownText(
            advice.lengthM,
            'length',
            units
          )}.
          {advice.gauge === null
            ? `No gauge keeps the drop below ${MOST_DROP_V} V.`
            : `${advice.gauge} AWG is the thinnest that keeps the drop below ${MOST_DROP_V} V at 20 VA (${advice.drops
                .map((drop) => `${drop.gauge}: ${drop.volts.toFixed(2)} V`)
                .join(', ')}).`}
          {advice.stapled.length > 0 ? `Stapled: ${advice.stapled.join(', ')}.` : ''}
        </p>
      </div>
    </div>
  {/if}
</section>
