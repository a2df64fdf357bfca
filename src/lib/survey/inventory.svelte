<script lang="ts">
  /** The machines, with their plates, breakers and what hangs on them. */
  import { boundsOf } from '$core/job/bounds';
  import { LIMITS } from '$core/job/limits';
  import { addMachine, machineIsUsed, removeMachine, shareMachine } from '$core/job/machines';
  import type { EquipmentId } from '$core/job/ids';
  import {
    Equipment,
    ACCESSORY_KINDS,
    FUELS,
    MACHINE_KINDS,
    type Accessory,
    type MachineKind
  } from '$core/job/schema';
  import ChoiceField from '../fields/choice-field.svelte';
  import NumberField from '../fields/number-field.svelte';
  import TextField from '../fields/text-field.svelte';
  import PhotoStrip from '../photos/photo-strip.svelte';
  import { getPlace } from '../state/context';
  import { setMachine } from '../state/set';
  import { YES_NO } from './words';

  const place = getPlace();
  const kinds: Readonly<Record<MachineKind, string>> = {
    unknown: 'not known',
    furnace: 'furnace',
    'air-handler': 'air handler',
    boiler: 'boiler',
    'room-heater': 'heater in the room',
    'zone-panel': 'panel of zone valves, or not known which',
    'zone-pump-panel': 'panel of zone pumps',
    'old-adapter': 'adapter of the old thermostat, in line',
    'three-wire-valve': 'zone valve with three wires (one opens, one closes)',
    'hydro-air': 'air handler heated by a boiler’s water',
    'fan-coil': 'steam or water with a fan',
    'oil-with-fan-centre': 'oil burner with T1 T2, and a fan centre beside it',
    'electric-heat-relay': 'electric heat on a 24 V relay',
    'outdoor-unit': 'outdoor unit',
    other: 'something else'
  };
  const accessoryNames = {
    humidifier: 'humidifier',
    dehumidifier: 'dehumidifier',
    ventilator: 'ventilator',
    'condensate-pump': 'condensate pump',
    lamp: 'fault lamp'
  };

  const full = $derived(
    place.thermostat.equipment.length >= LIMITS['machines of a thermostat'].most ||
      place.job.equipment.length >= LIMITS.machines.most
  );
  const elsewhere = $derived(
    place.job.equipment.filter((one) => !place.thermostat.equipment.includes(one.id))
  );

  function addAccessory(machine: EquipmentId, list: readonly Accessory[], kind: string): void {
    const found = ACCESSORY_KINDS.find((one) => one === kind);
    if (found)
      setMachine(
        place,
        machine,
        'accessories',
        [...list, { kind: found, ownRelay: 'unknown', note: '' }],
        `Accessory: ${accessoryNames[found]}`
      );
  }
</script>

<section class="flex flex-col gap-4" aria-label="The machines">
  {#each place.machines as machine (machine.id)}
    <div class="sheet-of-paper p-4">
      <div class="mb-2 flex items-start justify-between gap-2">
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
      <div class="mb-3 flex flex-wrap gap-3">
        <PhotoStrip of="equipment" equipment={machine.id} label="Photo of it" />
        <PhotoStrip of="plate" equipment={machine.id} label="Photo of its plate" />
      </div>
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <TextField
          label="Called here"
          value={machine.name}
          onset={(value) => value && setMachine(place, machine.id, 'name', value, 'Name of the machine')}
        />
        <TextField
          label="Stands"
          value={machine.place}
          onset={(value) => setMachine(place, machine.id, 'place', value, 'Where it stands')}
        />
        <ChoiceField
          label="Kind"
          value={machine.kind}
          choices={MACHINE_KINDS.map((one) => [one, kinds[one]] as const)}
          onset={(value) => setMachine(place, machine.id, 'kind', value, 'Kind of machine')}
        />
        <ChoiceField
          label="Fuel"
          value={machine.fuel}
          choices={FUELS.map((one) => [one, one === 'unknown' ? 'not known' : one] as const)}
          onset={(value) => setMachine(place, machine.id, 'fuel', value, 'Fuel')}
        />
        <TextField
          label="Maker"
          value={machine.maker}
          onset={(value) => setMachine(place, machine.id, 'maker', value, 'Maker')}
        />
        <TextField
          label="Model"
          value={machine.model}
          onset={(value) => setMachine(place, machine.id, 'model', value, 'Model')}
        />
        <TextField
          label="Serial"
          value={machine.serial}
          onset={(value) => setMachine(place, machine.id, 'serial', value, 'Serial')}
        />
        <NumberField
          label="Transformer"
          unit="VA"
          value={machine.transformerVa}
          {...boundsOf(Equipment.entries.transformerVa)}
          digits={0}
          onset={(value) => setMachine(place, machine.id, 'transformerVa', value, 'Transformer')}
        />
        <NumberField
          label="Heat stages"
          value={machine.heatStages}
          {...boundsOf(Equipment.entries.heatStages)}
          digits={0}
          whole
          onset={(value) => setMachine(place, machine.id, 'heatStages', value, 'Heat stages')}
        />
        <NumberField
          label="Compressor stages"
          value={machine.coolStages}
          {...boundsOf(Equipment.entries.coolStages)}
          digits={0}
          whole
          onset={(value) => setMachine(place, machine.id, 'coolStages', value, 'Compressor stages')}
        />
        <TextField
          label="Breaker"
          value={machine.breaker}
          placeholder="as the panel names it"
          onset={(value) => setMachine(place, machine.id, 'breaker', value, 'Breaker')}
        />
        <TextField
          label="Service switch"
          value={machine.serviceSwitch}
          placeholder="where it is"
          onset={(value) => setMachine(place, machine.id, 'serviceSwitch', value, 'Service switch')}
        />
        <ChoiceField
          label="The burner’s switch cuts its transformer too"
          value={machine.behindSwitch}
          choices={YES_NO}
          onset={(value) =>
            setMachine(place, machine.id, 'behindSwitch', value, 'Transformer behind the burner’s switch')}
        />
      </div>
      <ul class="mt-3">
        {#each machine.accessories as accessory, at (at)}
          <li class="mb-1 flex flex-wrap items-end gap-2">
            <span class="w-full pb-1 font-semibold sm:w-36 sm:pb-2">{accessoryNames[accessory.kind]}</span>
            <ChoiceField
              label="Needs a relay of its own"
              value={accessory.ownRelay}
              choices={YES_NO}
              onset={(value) =>
                setMachine(
                  place,
                  machine.id,
                  'accessories',
                  machine.accessories.map((one, position) =>
                    position === at ? { ...one, ownRelay: value } : one
                  ),
                  'Relay of its own'
                )}
            />
            <button
              type="button"
              class="btn btn-ghost btn-sm"
              onclick={() =>
                setMachine(
                  place,
                  machine.id,
                  'accessories',
                  machine.accessories.filter((_, position) => position !== at),
                  'Accessory taken out'
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
            addAccessory(machine.id, machine.accessories, event.currentTarget.value);
            event.currentTarget.value = '';
          }}
        >
          <option value="">add an accessory</option>
          {#each ACCESSORY_KINDS as kind (kind)}<option value={kind}>{accessoryNames[kind]}</option>{/each}
        </select>
      </label>
    </div>
  {/each}
  <button
    type="button"
    class="btn btn-outline self-start"
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
          const found = elsewhere.find((one) => one.id === event.currentTarget.value);
          if (found) place.session.edit(shareMachine(place.job, place.thermostat.id, found.id));
          event.currentTarget.value = '';
        }}
      >
        <option value="">choose the machine</option>
        {#each elsewhere as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </select>
    </label>
  {/if}
</section>
