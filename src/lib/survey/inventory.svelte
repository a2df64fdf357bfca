<script lang="ts">
  /** The machines, with their plates, breakers and what hangs on them. */
  import { LIMITS } from '$core/job/limits';
  import { addMachine, machineIsUsed, removeMachine, shareMachine } from '$core/job/machines';
  import { ACCESSORY_KINDS, type Accessory, type Equipment } from '$core/job/schema';
  import { ACCESSORY_QUESTIONS, ACCESSORY_WORDS } from '$core/questions/machine-questions';
  import type { SurveyCard } from '$core/questions/survey-cards';
  import PhotoStrip from '../photos/photo-strip.svelte';
  import QuestionField from '../questions/question-field.svelte';
  import { getPlace } from '../state/context';
  import { setMachine } from '../state/set';
  import CardLines from './card-lines.svelte';

  interface Props {
    cards: readonly SurveyCard[];
  }

  let { cards }: Props = $props();
  const place = getPlace();
  const full = $derived(
    place.thermostat.equipment.length >= LIMITS['machines of a thermostat'].most ||
      place.job.equipment.length >= LIMITS.machines.most
  );
  const elsewhere = $derived(
    place.job.equipment.filter((machine) => !place.thermostat.equipment.includes(machine.id))
  );

  function setAccessories({ id }: Equipment, list: readonly Accessory[], label: string): void {
    setMachine(place, id, 'accessories', [...list], label);
  }

  function addAccessory(machine: Equipment, chosen: string): void {
    const kind = ACCESSORY_KINDS.find((known) => known === chosen);
    if (kind)
      setAccessories(
        machine,
        [...machine.accessories, { kind, ownRelay: 'unknown', note: '' }],
        `Accessory: ${ACCESSORY_WORDS[kind]}`
      );
  }
</script>

{#each place.machines as machine (machine.id)}
  <section class="sheet-of-paper p-4" aria-label="Machine: {machine.name}">
    <div class="mb-1 flex items-start justify-between gap-2">
      <h2 class="section-title">{machine.name}</h2>
      {#if place.machines.length > 1 && !machineIsUsed(place.thermostat, machine.id)}
        <button
          type="button"
          class="btn btn-ghost btn-sm"
          onclick={() => place.session.edit(removeMachine(place.job, place.thermostat.id, machine.id))}
          >Remove</button
        >
      {/if}
    </div>
    <div class="mb-2 flex flex-wrap gap-3">
      <PhotoStrip of="equipment" equipment={machine.id} label="Photo of it" />
      <PhotoStrip of="plate" equipment={machine.id} label="Photo of its plate" />
    </div>
    <CardLines cards={cards.filter((card) => card.group === machine.id)} />
    <ul class="mt-2">
      {#each machine.accessories as accessory, at (at)}
        <li class="mb-1 flex flex-wrap items-end gap-2">
          <span class="w-full pb-1 font-semibold sm:w-36 sm:pb-2">{ACCESSORY_WORDS[accessory.kind]}</span>
          <QuestionField
            question={ACCESSORY_QUESTIONS.ownRelay}
            value={accessory.ownRelay}
            onset={(value) =>
              setAccessories(
                machine,
                machine.accessories.map((other, position) =>
                  position === at ? { ...other, ownRelay: value as Accessory['ownRelay'] } : other
                ),
                ACCESSORY_QUESTIONS.ownRelay.label
              )}
          />
          <button
            type="button"
            class="btn btn-ghost btn-sm"
            onclick={() =>
              setAccessories(
                machine,
                machine.accessories.filter((_, position) => position !== at),
                'Accessory removed'
              )}>Remove</button
          >
        </li>
      {/each}
    </ul>
    <label class="mt-2 flex max-w-60 flex-col gap-1 text-sm"
      >Accessories
      <select
        class="select w-full"
        value=""
        disabled={machine.accessories.length >= LIMITS.accessories.most}
        onchange={(event) => {
          addAccessory(machine, event.currentTarget.value);
          event.currentTarget.value = '';
        }}
      >
        <option value="">add an accessory</option>
        {#each ACCESSORY_KINDS as kind (kind)}<option value={kind}>{ACCESSORY_WORDS[kind]}</option>{/each}
      </select>
    </label>
  </section>
{/each}
<div class="flex flex-wrap items-end gap-3">
  <button
    type="button"
    class="btn btn-outline"
    disabled={full}
    onclick={() =>
      place.session.edit(addMachine(place.job, place.thermostat.id, `Machine ${place.machines.length + 1}`))}
    >+ Machine</button
  >
  {#if elsewhere.length > 0}
    <label class="flex max-w-80 flex-col gap-1 text-sm"
      >This thermostat is wired to a machine of another one as well
      <select
        class="select w-full"
        value=""
        onchange={(event) => {
          const found = elsewhere.find((machine) => machine.id === event.currentTarget.value);
          if (found) place.session.edit(shareMachine(place.job, place.thermostat.id, found.id));
          event.currentTarget.value = '';
        }}
      >
        <option value="">choose the machine</option>
        {#each elsewhere as machine (machine.id)}<option value={machine.id}>{machine.name}</option>{/each}
      </select>
    </label>
  {/if}
</div>
