<script lang="ts">
  /** One device: what it is, its screws as printed and what each does, and where its wire goes: to a number of the wiring centre, or straight to another device. */
  import Plus from '@lucide/svelte/icons/plus';
  import Trash2 from '@lucide/svelte/icons/trash-2';
  import {
    addUnitScrew,
    removeUnit,
    removeUnitScrew,
    removeWire,
    setUnit,
    setUnitScrew
  } from '$core/job/mains-edits';
  import { leadWire, runWire, unreadAway, wiresAt } from '$core/job/mains-landing';
  import type { MainsControls, MainsDevice, MainsScrew, MainsWire } from '$core/job/mains-schema';
  import {
    BOILER_INPUTS,
    CONTACTS,
    FUNCTIONS_OF,
    MAINS_FUNCTION_NAMES,
    SERVES,
    type BoilerInput,
    type ContactKind,
    type MainsFunction,
    type Serves
  } from '$core/trade/mains';
  import { hubsAmong } from '$core/trade/mains-hub';
  import ChoiceField from '../fields/choice-field.svelte';
  import NumberField from '../fields/number-field.svelte';
  import TextField from '../fields/text-field.svelte';
  import { getPlace } from '../state/context';
  import { typedHere } from '../state/typed.svelte';
  import { say } from '../words/manner.svelte';

  let { mains, device }: { mains: MainsControls; device: MainsDevice } = $props();
  const place = getPlace();
  const id = $derived(place.thermostat.id);
  const hubs = $derived(hubsAmong(mains.devices));
  const isHub = $derived(hubs.some((hub) => hub.id === device.id));
  const placesOn = (units: readonly MainsDevice[]) =>
    units
      .filter((unit) => unit.id !== device.id)
      .flatMap((unit) =>
        unit.screws.map(
          (screw) =>
            [
              `${unit.id} ${screw.id}`,
              unit.part === 'wiring-centre' && hubs.length === 1
                ? `number ${screw.mark}`
                : `${unit.name} ${screw.mark}`
            ] as const
        )
      );
  const numbers = $derived(placesOn(hubs));
  const straight = $derived({
    name: 'straight to another device',
    choices: placesOn(mains.devices.filter((unit) => !hubs.includes(unit)))
  });
  const wiresOn = (screw: MainsScrew) => wiresAt(mains, { device: device.id, screw: screw.id });
  const functions = $derived<MainsFunction[]>([
    ...new Set<MainsFunction>([...FUNCTIONS_OF[device.part], 'joint', 'unknown'])
  ]);

  const SERVES_NAMES: Readonly<Record<Serves, string>> = {
    heating: 'heating',
    water: 'hot water',
    unknown: 'not known yet'
  };
  const CONTACT_NAMES: Readonly<Record<ContactKind, string>> = {
    linked: 'fed from live inside',
    'volt-free': 'volt-free: a common and an output',
    unknown: 'not known yet'
  };
  const INPUT_NAMES: Readonly<Record<BoilerInput, string>> = {
    'switched-live': 'a switched live, 230 V',
    'volt-free': 'a contact free of voltage',
    'low-voltage': 'a low-voltage contact',
    unknown: 'not known yet'
  };
  const YES_NO = [
    ['unknown', 'not known yet'],
    ['yes', 'yes'],
    ['no', 'no']
  ] as const;

  function edit(step: Parameters<typeof place.session.edit>[0]): void {
    place.session.edit(step);
  }

  const NONE = 'none';

  /** Where the screw's wire goes: a new wire, another place, or none any more. */
  function land(screw: MainsScrew, wire: MainsWire | null, value: string): void {
    const from = { device: device.id, screw: screw.id };
    const [unit, own] = value.split(' ');
    const target = mains.devices.find((candidate) => candidate.id === unit);
    const to = target?.screws.find((candidate) => candidate.id === own);
    const spot = target && to ? { device: target.id, screw: to.id } : null;
    const step =
      wire === null
        ? spot && runWire(place.job, id, from, spot)
        : spot
          ? leadWire(place.job, id, wire.id, from, spot)
          : value === NONE
            ? removeWire(place.job, id, wire.id)
            : unreadAway(place.job, id, wire.id, from);
    if (step) edit(step);
  }

  const other = typedHere('device-terminal', { mark: '' }, { part: () => device.id });

  function addScrew(event: SubmitEvent): void {
    event.preventDefault();
    edit(addUnitScrew(place.job, id, device.id, other.mark.trim().toUpperCase()));
    other.mark = '';
  }
</script>

<details class="sheet-of-paper p-4" data-unit={device.id}>
  <summary class="cursor-pointer">
    <b>{device.name}</b>{device.place === '' ? '' : `, ${device.place}`}
    <span class="quiet text-sm"
      >· {device.screws.filter((screw) => wiresOn(screw).some(({ to }) => to !== null)).length} of {device
        .screws.length}
      terminals have a wire</span
    >
  </summary>
  <div class="mt-3 grid gap-3 sm:grid-cols-2">
    <TextField
      label="Name"
      value={device.name}
      onset={(name) => edit(setUnit(place.job, id, device.id, 'name', name))}
    />
    <TextField
      label="Where it is"
      value={device.place}
      onset={(where) => edit(setUnit(place.job, id, device.id, 'place', where))}
    />
    {#if ['two-port-valve', 'room-thermostat', 'pump'].includes(device.part)}
      <ChoiceField
        label="It works for"
        value={device.serves}
        choices={SERVES.map((serve) => [serve, SERVES_NAMES[serve]] as const)}
        onset={(serves) => edit(setUnit(place.job, id, device.id, 'serves', serves))}
      />
    {/if}
    {#if device.part === 'timer'}
      <ChoiceField
        label="Its contacts"
        value={device.contacts}
        choices={CONTACTS.map((contact) => [contact, CONTACT_NAMES[contact]] as const)}
        onset={(contacts) => edit(setUnit(place.job, id, device.id, 'contacts', contacts))}
      />
      <ChoiceField
        label="Heating brings hot water with it"
        value={device.heatingBringsWater}
        choices={YES_NO}
        onset={(brings) => edit(setUnit(place.job, id, device.id, 'heatingBringsWater', brings))}
      />
    {/if}
    {#if device.part === 'boiler'}
      <ChoiceField
        label="What it wants at its thermostat input"
        value={device.input}
        choices={BOILER_INPUTS.map((input) => [input, INPUT_NAMES[input]] as const)}
        onset={(input) => edit(setUnit(place.job, id, device.id, 'input', input))}
      />
      <ChoiceField
        label="A combination boiler"
        value={device.combination}
        choices={YES_NO}
        onset={(is) => edit(setUnit(place.job, id, device.id, 'combination', is))}
      />
    {/if}
    {#if device.part === 'supply'}
      <NumberField
        label="Its fuse, A"
        value={device.fuseAmps}
        least={0.5}
        most={63}
        onset={(amps) => edit(setUnit(place.job, id, device.id, 'fuseAmps', amps))}
      />
    {/if}
  </div>
  <ul class="mt-3 flex flex-col">
    {#each device.screws as screw (screw.id)}
      <li class="screw" data-screw={screw.mark}>
        <b class="self-center">{screw.mark === '' ? '(no print)' : screw.mark}</b>
        <ChoiceField
          small
          label="does"
          value={screw.does}
          choices={functions.map((does) => [does, say(MAINS_FUNCTION_NAMES[does])] as const)}
          onset={(does) => edit(setUnitScrew(place.job, id, device.id, screw.id, { does }))}
        />
        {#if !isHub}
          <div class="leads flex flex-col gap-1">
            {#each wiresOn(screw) as { wire, to } (wire.id)}
              <ChoiceField
                small
                label="its wire goes to"
                value={to === null ? '' : `${to.device} ${to.screw}`}
                choices={[['', 'not read yet'], [NONE, 'no wire'], ...numbers]}
                group={straight}
                onset={(value) => land(screw, wire, value)}
              />
            {:else}
              <ChoiceField
                small
                label="its wire goes to"
                value=""
                choices={[['', 'no wire'], ...numbers]}
                group={straight}
                onset={(value) => land(screw, null, value)}
              />
            {/each}
          </div>
        {/if}
        <button
          type="button"
          class="btn btn-ghost btn-square btn-sm self-end"
          aria-label="Take terminal {screw.mark} of the {device.name} out"
          onclick={() => edit(removeUnitScrew(place.job, id, device.id, screw.id))}
          ><Trash2 size={18} aria-hidden="true" /></button
        >
      </li>
    {/each}
  </ul>
  <form class="mt-3 flex flex-wrap items-end gap-2" onsubmit={addScrew}>
    <label class="flex flex-col gap-1 text-sm"
      >Another terminal, as printed
      <input class="input w-40 uppercase" bind:value={other.mark} maxlength="12" autocomplete="off" /></label
    >
    <button type="submit" class="btn btn-outline"><Plus size={18} aria-hidden="true" />Add it</button>
    <button
      type="button"
      class="btn btn-ghost ml-auto"
      onclick={() => edit(removeUnit(place.job, id, device.id))}>Take the {device.name} out</button
    >
  </form>
</details>

<style>
  .screw {
    display: grid;
    grid-template-columns: 4.5rem minmax(0, 1fr) minmax(0, 1fr) auto;
    gap: 0.5rem;
    padding-block: 0.35rem;
    border-bottom: 1px solid var(--color-base-300);
  }

  @media (max-width: 700px) {
    .screw {
      grid-template-columns: 3.5rem minmax(0, 1fr) auto;
    }

    .leads {
      grid-column: 2;
      grid-row: 2;
    }
  }
</style>
