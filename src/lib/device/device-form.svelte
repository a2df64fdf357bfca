<script lang="ts">
  /** The facts of any device, checked by the same schema as the catalogue; each fault stands beside its field's name. */
  import * as v from 'valibot';
  import { readDevice } from '$core/formats/device-json';
  import { chooseDevice, saveDevice } from '$core/job/choices';
  import { DeviceSheet, SetUpMenu, UNREAD_MENU, type DeviceFacts } from '$core/job/device-facts';
  import { faultsOf, faultText } from '$core/job/faults';
  import { nextId } from '$core/job/ids';
  import { apply, batch } from '$core/job/steps';
  import { devicesOf } from '$core/match/catalogue';
  import { DEVICE_QUESTIONS } from '$core/questions/device-questions';
  import QuestionField from '../questions/question-field.svelte';
  import { getPlace } from '../state/context';
  import { emptied, typedHere } from '../state/typed.svelte';
  import MarksToggle from './marks-toggle.svelte';
  import MenuEditor from './menu-editor.svelte';

  interface Props {
    ondone: () => void;
  }

  let { ondone }: Props = $props();
  const place = getPlace();
  /** What most have; it is all to be looked up in the sheet. */
  const COMMON: Omit<DeviceFacts, 'id'> = {
    maker: '',
    model: '',
    supply: 'common-required',
    marks: ['R', 'C', 'W', 'Y', 'G'],
    rails: 'one-r',
    electronicsFrom: 'R',
    heatStages: 1,
    coolStages: 1,
    heatPump: false,
    voltsMin: 18,
    voltsMax: 30,
    drawVa: 5,
    plateWidthMm: 110,
    plateHeightMm: 110,
    price: null,
    wifiBands: '',
    worksWith: [],
    adapters: 'unknown',
    chargesThrough: 'unknown',
    accessoryOutputs: 'unknown',
    setUp: '',
    setUpMenu: UNREAD_MENU,
    note: ''
  };
  const facts = typedHere('device', COMMON, { checks: { setUpMenu: (kept) => v.is(SetUpMenu, kept) } });
  let faults = $state<readonly string[]>([]);
  const questions = Object.values(DEVICE_QUESTIONS);
  const WIDE = ['supply', 'model', 'rails', 'worksWith', 'setUp', 'note'];

  function freeId() {
    return nextId(
      'device',
      devicesOf(place.job).map(({ id }) => id)
    );
  }

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    const parsed = v.safeParse(DeviceSheet, {
      ...facts,
      id: freeId(),
      model: facts.model || 'my thermostat',
      electronicsFrom: facts.electronicsFrom.toUpperCase(),
      // Nothing ticked: the sheet is silent.
      worksWith: facts.worksWith?.length ? facts.worksWith : null
    });
    if (parsed.success) keep(parsed.output);
    else faults = faultsOf(parsed.issues).map(faultText);
  }

  function keep(device: DeviceFacts): void {
    const save = saveDevice(place.job, device);
    place.session.edit(
      batch(save.label, [save, chooseDevice(apply(place.job, save), place.thermostat.id, device.id)])
    );
    emptied(facts);
    ondone();
  }

  /** A sheet that was taken out of another job. It gets an id of its own here: two jobs may have used the same. */
  async function fromFile(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const [file] = event.currentTarget.files ?? [];
    event.currentTarget.value = '';
    if (!file) return;
    const read = readDevice(await file.text());
    if (read.ok) keep({ ...read.device, id: freeId() });
    else faults = read.faults.map(faultText);
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
  {#each questions as question (question.field)}
    <div class={[WIDE.includes(question.field) && 'sm:col-span-2', 'flex flex-col justify-end']}>
      <QuestionField
        {question}
        value={facts[question.field as Exclude<keyof typeof facts, 'setUpMenu'>]}
        onset={(value) => Object.assign(facts, { [question.field]: value })}
      />
      {#if question.help}<p class="quiet mt-1 text-sm">{question.help}</p>{/if}
    </div>
    {#if question.field === 'supply'}
      <div class="sm:col-span-3">
        <p class="mb-1 text-sm">Terminals</p>
        <MarksToggle
          label="Terminals of the device"
          marks={facts.marks}
          onchange={(marks) => (facts.marks = marks)}
        />
      </div>
    {/if}
  {/each}
  <details class="sm:col-span-3">
    <summary class="min-h-8 cursor-pointer font-semibold">Its settings, as its sheet has them</summary>
    <MenuEditor menu={facts.setUpMenu} onchange={(setUpMenu) => (facts.setUpMenu = setUpMenu)} />
  </details>
  {#if faults.length > 0}
    <ul class="list-disc pl-5 sm:col-span-3" role="alert">
      {#each faults as line (line)}<li>{line}</li>{/each}
    </ul>
  {/if}
  <div class="flex justify-end sm:col-span-3">
    <button class="btn btn-primary">Keep and choose it</button>
  </div>
</form>
