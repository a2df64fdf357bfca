<script lang="ts">
  /** The machines, with their plates, breakers and what hangs on them. */
  import { addMachine, machineIsUsed, removeMachine, shareMachine } from '$core/job/edits';
  import { ACCESSORY_KINDS, FUELS, MACHINE_KINDS, type Accessory } from '$core/job/schema';
  import ChoiceField from '../fields/choice-field.svelte';
  import NumberField from '../fields/number-field.svelte';
  import TextField from '../fields/text-field.svelte';
  import PhotoStrip from '../photos/photo-strip.svelte';
  import { getPlace } from '../state/context';
  import { setMachine } from '../state/set';
  import { YES_NO } from './words';

  const place = getPlace();
  const kinds = {
    unknown: 'not known',
    furnace: 'furnace',
    'air-handler': 'air handler',
    boiler: 'boiler',
    'room-heater': 'heater in the room',
    'zone-panel': 'panel of zone valves, or not known which',
    'zone-pump-panel': 'panel of zone pumps',
    'old-adapter': 'adapter of the old thermostat, in line',
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

  const elsewhere = $derived(
    place.job.equipment.filter((one) => !place.thermostat.equipment.includes(one.id))
  );

  function addAccessory(index: number, list: readonly Accessory[], kind: string): void {
    const found = ACCESSORY_KINDS.find((one) => one === kind);
    if (found)
      setMachine(
        place,
        index,
        'accessories',
        [...list, { kind: found, ownRelay: 'unknown', note: '' }],
        `Accessory: ${accessoryNames[found]}`
      );
  }
</script>

<section class="flex flex-col gap-4" aria-label="The machines">
  {#each place.equipment as { machine, index } (machine.id)}
    <div class="sheet-of-paper p-4">
      <div class="mb-2 flex items-start justify-between gap-2">
        <h2 class="section-title">{machine.name}</h2>
        {#if place.equipment.length > 1 && !machineIsUsed(place.thermostat, machine.id)}
          <button
            type="button"
            class="btn btn-ghost btn-sm"
            onclick={() => place.session.edit(removeMachine(place.job, place.index, machine.id))}
            >Take out</button
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
          onset={(value) => value && setMachine(place, index, 'name', value, 'Name of the machine')}
        />
        <TextField
          label="Stands"
          value={machine.place}
          onset={(value) => setMachine(place, index, 'place', value, 'Where it stands')}
        />
        <ChoiceField
          label="Kind"
          value={machine.kind}
          choices={MACHINE_KINDS.map((one) => [one, kinds[one]] as const)}
          onset={(value) => setMachine(place, index, 'kind', value, 'Kind of machine')}
        />
        <ChoiceField
          label="Fuel"
          value={machine.fuel}
          choices={FUELS.map((one) => [one, one === 'unknown' ? 'not known' : one] as const)}
          onset={(value) => setMachine(place, index, 'fuel', value, 'Fuel')}
        />
        <TextField
          label="Maker"
          value={machine.maker}
          onset={(value) => setMachine(place, index, 'maker', value, 'Maker')}
        />
        <TextField
          label="Model"
          value={machine.model}
          onset={(value) => setMachine(place, index, 'model', value, 'Model')}
        />
        <TextField
          label="Serial"
          value={machine.serial}
          onset={(value) => setMachine(place, index, 'serial', value, 'Serial')}
        />
        <NumberField
          label="Transformer"
          unit="VA"
          value={machine.transformerVa}
          least={1}
          most={1000}
          digits={0}
          onset={(value) => setMachine(place, index, 'transformerVa', value, 'Transformer')}
        />
        <NumberField
          label="Heat stages"
          value={machine.heatStages}
          least={0}
          most={4}
          digits={0}
          whole
          onset={(value) => setMachine(place, index, 'heatStages', value, 'Heat stages')}
        />
        <NumberField
          label="Compressor stages"
          value={machine.coolStages}
          least={0}
          most={4}
          digits={0}
          whole
          onset={(value) => setMachine(place, index, 'coolStages', value, 'Compressor stages')}
        />
        <TextField
          label="Breaker"
          value={machine.breaker}
          placeholder="as the panel names it"
          onset={(value) => setMachine(place, index, 'breaker', value, 'Breaker')}
        />
        <TextField
          label="Service switch"
          value={machine.serviceSwitch}
          placeholder="where it is"
          onset={(value) => setMachine(place, index, 'serviceSwitch', value, 'Service switch')}
        />
      </div>
      <ul class="mt-3">
        {#each machine.accessories as accessory, at (at)}
          <li class="mb-1 flex flex-wrap items-end gap-2">
            <span class="min-w-36 pb-2 font-semibold">{accessoryNames[accessory.kind]}</span>
            <ChoiceField
              label="Needs a relay of its own"
              value={accessory.ownRelay}
              choices={YES_NO}
              onset={(value) =>
                setMachine(
                  place,
                  index,
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
                  index,
                  'accessories',
                  machine.accessories.filter((_, position) => position !== at),
                  'Accessory taken out'
                )}>Take out</button
            >
          </li>
        {/each}
      </ul>
      <label class="mt-2 flex max-w-60 flex-col gap-1 text-sm"
        >Hangs on it
        <select
          class="select w-full"
          value=""
          onchange={(event) => {
            addAccessory(index, machine.accessories, event.currentTarget.value);
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
    onclick={() =>
      place.session.edit(addMachine(place.job, place.index, `Machine ${place.equipment.length + 1}`))}
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
          if (found) place.session.edit(shareMachine(place.job, place.index, found.id));
          event.currentTarget.value = '';
        }}
      >
        <option value="">choose the machine</option>
        {#each elsewhere as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </select>
    </label>
  {/if}
</section>
