<script lang="ts">
  /** The facts of a real controller, from its sheet: its terminals in the order in which they stand, each by what it does. */
  import { addController } from '$core/job/mains-edits';
  import { nextId } from '$core/job/ids';
  import type { MainsControls } from '$core/job/mains-schema';
  import type { ControllerFacts } from '$core/job/controller-facts';
  import { FUNCTIONS_OF, MAINS_FUNCTION_NAMES, type MainsFunction } from '$core/trade/mains';
  import { CONTROLLERS } from '$core/match/mains/controllers';
  import ChoiceField from '../fields/choice-field.svelte';
  import { getPlace } from '../state/context';
  import { emptied, typedHere } from '../state/typed.svelte';
  import { say } from '../words/manner.svelte';

  let { mains, onclose }: { mains: MainsControls; onclose: () => void } = $props();
  const place = getPlace();
  const functions = [...FUNCTIONS_OF.controller, 'joint'] as const;

  type Contact = 'linked' | 'volt-free';
  const EMPTY = {
    maker: '',
    model: '',
    channels: '2' as '1' | '2',
    heating: 'linked' as Contact,
    water: 'linked' as Contact,
    wallPart: 'wireless' as ControllerFacts['wallPart'],
    gravity: 'no' as 'yes' | 'no',
    amps: '3',
    plate: [
      { mark: 'N', does: 'neutral' },
      { mark: 'L', does: 'live' },
      { mark: '1', does: 'water-off' },
      { mark: '2', does: 'heating-off' },
      { mark: '3', does: 'water-on' },
      { mark: '4', does: 'heating-on' }
    ] as { mark: string; does: MainsFunction }[]
  };
  const typed = typedHere('controller', EMPTY);

  function add(event: SubmitEvent): void {
    event.preventDefault();
    const { maker, model, channels, heating, water, wallPart, gravity, amps, plate } = typed;
    const known = [...CONTROLLERS, ...mains.controllers].map(({ id }) => id);
    const facts: ControllerFacts = {
      id: nextId('controller', known),
      maker: maker.trim(),
      model: model.trim(),
      channels: channels === '1' ? 1 : 2,
      heatingContact: heating,
      waterContact: channels === '1' ? null : water,
      plate: plate.map(({ mark, does }) => ({ mark: mark.trim().toUpperCase(), does })),
      pattern: 'b',
      wallPart,
      gravityMode: gravity === 'yes',
      maxAmps: Number(amps.replace(',', '.')),
      drawVa: 3,
      earthPark: plate.some(({ does }) => does === 'earth'),
      price: null,
      note: ''
    };
    if (!place.session.edit(addController(place.job, place.thermostat.id, facts))) return;
    emptied(typed);
    onclose();
  }

  const CONTACT = [
    ['linked', 'fed from live inside'],
    ['volt-free', 'volt-free']
  ] as const;
</script>

<form
  class="mt-3 flex flex-col gap-3 border-t border-base-300 pt-3"
  onsubmit={add}
  aria-label="From its sheet"
>
  <h3 class="font-semibold">From its sheet</h3>
  <div class="grid gap-3 sm:grid-cols-2">
    <label class="flex flex-col gap-1 text-sm"
      >Maker <input class="input w-full" bind:value={typed.maker} required maxlength="120" /></label
    >
    <label class="flex flex-col gap-1 text-sm"
      >Model <input class="input w-full" bind:value={typed.model} required maxlength="120" /></label
    >
    <ChoiceField
      label="Channels"
      value={typed.channels}
      choices={[
        ['2', 'two: heating and hot water'],
        ['1', 'one']
      ]}
      onset={(value) => (typed.channels = value)}
    />
    <ChoiceField
      label="Heating contact"
      value={typed.heating}
      choices={CONTACT}
      onset={(value) => (typed.heating = value)}
    />
    {#if typed.channels === '2'}
      <ChoiceField
        label="Hot-water contact"
        value={typed.water}
        choices={CONTACT}
        onset={(value) => (typed.water = value)}
      />
    {/if}
    <ChoiceField
      label="Wall part"
      value={typed.wallPart}
      choices={[
        ['wireless', 'by radio'],
        ['wired-low-voltage', 'on two wires of low voltage'],
        ['none', 'none, or in the box']
      ]}
      onset={(value) => (typed.wallPart = value)}
    />
    <ChoiceField
      label="Can be set so that heating brings hot water"
      value={typed.gravity}
      choices={[
        ['no', 'no'],
        ['yes', 'yes']
      ]}
      onset={(value) => (typed.gravity = value)}
    />
    <label class="flex flex-col gap-1 text-sm"
      >Its contacts carry, A <input
        class="input w-full"
        bind:value={typed.amps}
        inputmode="decimal"
        required
      /></label
    >
  </div>
  <fieldset>
    <legend class="text-sm">Its terminals, in the order in which they stand</legend>
    <ol class="mt-1 flex flex-col gap-2">
      {#each typed.plate as screw, at (at)}
        <li class="grid grid-cols-[6rem_1fr_auto] items-end gap-2">
          <label class="flex flex-col gap-1 text-sm"
            >print {at + 1}<input
              class="input w-full uppercase"
              bind:value={screw.mark}
              maxlength="12"
            /></label
          >
          <label class="flex flex-col gap-1 text-sm"
            >does<select class="select w-full" bind:value={screw.does}>
              {#each functions as does (does)}<option value={does}>{say(MAINS_FUNCTION_NAMES[does])}</option
                >{/each}
            </select></label
          >
          <button
            type="button"
            class="btn btn-ghost btn-sm"
            aria-label="Take terminal {at + 1} out"
            onclick={() => typed.plate.splice(at, 1)}>Out</button
          >
        </li>
      {/each}
    </ol>
    <button
      type="button"
      class="btn btn-outline btn-sm mt-2"
      onclick={() => typed.plate.push({ mark: '', does: 'joint' })}>One more terminal</button
    >
  </fieldset>
  <div class="flex gap-2">
    <button type="submit" class="btn btn-primary">Add it</button>
    <button type="button" class="btn btn-ghost" onclick={onclose}>Leave it</button>
  </div>
</form>
