<script lang="ts">
  /** The facts of any device, checked by the same schema as the catalogue; each fault stands beside its field's name. */
  import { HOME_SYSTEM_NAMES, HOME_SYSTEMS } from '$core/trade/home-systems';
  import { SHORT_TEXT } from '$core/job/primitives';
  import * as v from 'valibot';
  import { batch } from '$core/job/steps';
  import { apply } from '$core/job/steps';
  import { chooseDevice, saveDevice } from '$core/job/choices';
  import {
    ACCESSORY_OUTPUTS,
    ADAPTER_RULES,
    CHARGES_THROUGH,
    DeviceSheet,
    RAILS,
    SUPPLY_NEEDS,
    type DeviceFacts
  } from '$core/job/device-facts';
  import { readDevice } from '$core/formats/device-json';
  import { nextId } from '$core/job/ids';
  import { devicesOf } from '$core/match/catalogue';
  import { faultsOf, faultText } from '$core/job/faults';
  import MarksToggle from './marks-toggle.svelte';
  import { getPlace } from '../state/context';
  import { ADAPTER_WORDS, CHARGES_WORDS, OUTPUT_WORDS, RAIL_WORDS, SUPPLY_WORDS } from './words';

  interface Props {
    ondone: () => void;
  }

  let { ondone }: Props = $props();
  const place = getPlace();
  let marks = $state<string[]>(['R', 'C', 'W', 'Y', 'G']);
  let faults = $state<readonly string[]>([]);

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    const form = new FormData(event.currentTarget as HTMLFormElement);
    const text = (name: string) => String(form.get(name) ?? '').trim();
    const number = (name: string) => Number(text(name).replace(',', '.') || NaN);
    const parsed = v.safeParse(DeviceSheet, {
      id: nextId(
        'device',
        devicesOf(place.job).map((one) => one.id)
      ),
      maker: text('maker'),
      model: text('model') || 'my thermostat',
      supply: text('supply'),
      marks,
      heatStages: number('heatStages'),
      coolStages: number('coolStages'),
      heatPump: form.get('heatPump') !== null,
      rails: text('rails'),
      electronicsFrom: text('electronicsFrom').toUpperCase(),
      voltsMin: number('voltsMin'),
      voltsMax: number('voltsMax'),
      drawVa: number('drawVa'),
      plateWidthMm: number('plateWidthMm'),
      plateHeightMm: number('plateHeightMm'),
      wifiBands: text('wifiBands'),
      price: text('price') === '' ? null : number('price'),
      note: text('note'),
      adapters: text('adapters'),
      chargesThrough: text('chargesThrough'),
      accessoryOutputs: text('accessoryOutputs'),
      // Nothing ticked: the sheet is silent.
      worksWith: form.getAll('worksWith').length > 0 ? form.getAll('worksWith') : null,
      setUp: text('setUp')
    });
    if (!parsed.success) {
      faults = faultsOf(parsed.issues).map(faultText);
      return;
    }
    keep(parsed.output);
  }

  function keep(device: DeviceFacts): void {
    const save = saveDevice(place.job, device);
    place.session.edit(
      batch(save.label, [save, chooseDevice(apply(place.job, save), place.thermostat.id, device.id)])
    );
    ondone();
  }

  /** A sheet that was taken out of another job. It gets an id of its own here: two jobs may have used the same. */
  async function fromFile(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const [file] = event.currentTarget.files ?? [];
    event.currentTarget.value = '';
    if (!file) return;
    const read = readDevice(await file.text());
    if (!read.ok) {
      faults = read.faults.map(faultText);
      return;
    }
    const taken = devicesOf(place.job).map((one) => one.id);
    keep({ ...read.device, id: nextId('device', taken) });
  }
</script>

<label class="mb-3 flex flex-col gap-1 text-sm"
  >From a file that Ulterum wrote<input
    class="file-input w-full"
    type="file"
    accept=".json,application/json"
    onchange={fromFile}
  /></label
>
<form class="grid gap-3 sm:grid-cols-3" onsubmit={submit}>
  <label class="flex flex-col gap-1 text-sm"
    >Maker<input class="input w-full" name="maker" maxlength={SHORT_TEXT} /></label
  >
  <label class="flex flex-col gap-1 text-sm sm:col-span-2"
    >Model<input class="input w-full" name="model" maxlength={SHORT_TEXT} required /></label
  >
  <label class="flex flex-col gap-1 text-sm sm:col-span-3"
    >Fed by
    <select class="select w-full" name="supply"
      >{#each SUPPLY_NEEDS as one (one)}<option value={one}>{SUPPLY_WORDS[one]}</option>{/each}</select
    >
  </label>
  <div class="sm:col-span-3">
    <p class="mb-1 text-sm">Terminals</p>
    <MarksToggle label="Terminals of the device" {marks} onchange={(next) => (marks = next)} />
  </div>
  <label class="flex flex-col gap-1 text-sm sm:col-span-2"
    >Hot side
    <select class="select w-full" name="rails"
      >{#each RAILS as one (one)}<option value={one}>{RAIL_WORDS[one]}</option>{/each}</select
    >
  </label>
  <label class="flex flex-col gap-1 text-sm"
    >Electronics run from<input
      class="input w-full uppercase"
      name="electronicsFrom"
      value="R"
      maxlength="8"
    /></label
  >
  <label class="flex flex-col gap-1 text-sm"
    >Heat stages<input class="input w-full" name="heatStages" inputmode="numeric" value="1" /></label
  >
  <label class="flex flex-col gap-1 text-sm"
    >Cooling stages<input class="input w-full" name="coolStages" inputmode="numeric" value="1" /></label
  >
  <label class="flex items-center gap-2 self-end pb-2 text-sm"
    ><input type="checkbox" class="checkbox" name="heatPump" /> Drives a heat pump</label
  >
  <label class="flex flex-col gap-1 text-sm"
    >Lowest voltage, V<input class="input w-full" name="voltsMin" inputmode="decimal" value="18" /></label
  >
  <label class="flex flex-col gap-1 text-sm"
    >Highest voltage, V<input class="input w-full" name="voltsMax" inputmode="decimal" value="30" /></label
  >
  <label class="flex flex-col gap-1 text-sm"
    >Draw, VA<input class="input w-full" name="drawVa" inputmode="decimal" value="5" /></label
  >
  <label class="flex flex-col gap-1 text-sm"
    >Plate width, mm<input class="input w-full" name="plateWidthMm" inputmode="decimal" value="110" /></label
  >
  <label class="flex flex-col gap-1 text-sm"
    >Plate height, mm<input
      class="input w-full"
      name="plateHeightMm"
      inputmode="decimal"
      value="110"
    /></label
  >
  <label class="flex flex-col gap-1 text-sm"
    >Price<input class="input w-full" name="price" inputmode="decimal" placeholder="not known" /></label
  >
  <label class="flex flex-col gap-1 text-sm sm:col-span-3"
    >Network bands<input class="input w-full" name="wifiBands" maxlength={SHORT_TEXT} /></label
  >
  <fieldset class="text-sm sm:col-span-3">
    <legend>Works with, by its sheet</legend>
    <div class="mt-1 flex flex-wrap gap-x-4 gap-y-2">
      {#each HOME_SYSTEMS as system (system)}
        <label class="flex min-h-8 items-center gap-2"
          ><input type="checkbox" class="checkbox" name="worksWith" value={system} />
          {HOME_SYSTEM_NAMES[system]}</label
        >
      {/each}
    </div>
  </fieldset>
  <label class="flex flex-col gap-1 text-sm"
    >Adapters
    <select class="select w-full" name="adapters" value="unknown"
      >{#each ADAPTER_RULES as one (one)}<option value={one}>{ADAPTER_WORDS[one]}</option>{/each}</select
    >
  </label>
  <label class="flex flex-col gap-1 text-sm"
    >Without a C wire, if it charges itself
    <select class="select w-full" name="chargesThrough" value="unknown"
      >{#each CHARGES_THROUGH as one (one)}<option value={one}>{CHARGES_WORDS[one]}</option>{/each}</select
    >
  </label>
  <label class="flex flex-col gap-1 text-sm sm:col-span-2"
    >Accessories
    <select class="select w-full" name="accessoryOutputs" value="unknown"
      >{#each ACCESSORY_OUTPUTS as one (one)}<option value={one}>{OUTPUT_WORDS[one]}</option>{/each}</select
    >
  </label>
  <label class="flex flex-col gap-1 text-sm sm:col-span-3"
    >Where it is set up<input
      class="input w-full"
      name="setUp"
      maxlength="400"
      placeholder="codes or menu names for the kind of system"
    /></label
  >
  <label class="flex flex-col gap-1 text-sm sm:col-span-3"
    >Note<input class="input w-full" name="note" maxlength="400" /></label
  >
  {#if faults.length > 0}
    <ul class="list-disc pl-5 sm:col-span-3" role="alert">
      {#each faults as line (line)}<li>{line}</li>{/each}
    </ul>
  {/if}
  <div class="flex justify-end sm:col-span-3">
    <button class="btn btn-primary">Keep and choose it</button>
  </div>
</form>
