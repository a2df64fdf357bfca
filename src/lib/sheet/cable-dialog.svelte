<script lang="ts">
  /** A cable with its conductors at once; their ends are then read one by one. */
  import { SHORT_TEXT } from '$core/job/primitives';
  import { addCable, setCable } from '$core/job/edits';
  import type { CableId } from '$core/job/ids';
  import { placesFor } from '$core/job/places';
  import type { Cable, WhereId } from '$core/job/schema';
  import { GAUGES, METRES_PER_FOOT, type Gauge } from '$core/trade/cable';
  import { usualColours } from '$core/trade/colours';
  import Dialog from '../frame/dialog.svelte';
  import { getPlace } from '../state/context';

  interface Props {
    open: boolean;
    /** The cable to change; null to add one. */
    cable: CableId | null;
    onclose: () => void;
  }

  let { open, cable, onclose }: Props = $props();
  const place = getPlace();
  const current = $derived<Cable | undefined>(place.thermostat.cables.find((one) => one.id === cable));
  const feet = $derived(place.job.units.length === 'ft');
  const shownLength = $derived(
    current?.lengthM == null
      ? ''
      : String(feet ? Math.round(current.lengthM / METRES_PER_FOOT) : current.lengthM)
  );
  const ends = $derived(placesFor(place.job, place.thermostat, 'far'));
  const shownEnd = $derived(current ? (current.far ?? '') : ends.length === 1 ? (ends[0]?.id ?? '') : '');
  let why = $state('');

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    const form = new FormData(event.currentTarget as HTMLFormElement);
    const written = String(form.get('length') ?? '')
      .trim()
      .replace(',', '.');
    const length = written === '' ? null : Number(written) * (feet ? METRES_PER_FOOT : 1);
    if (length !== null && !(length > 0 && length <= 1000)) {
      why = 'The length is a number above 0, or empty when it is not known.';
      return;
    }
    const facts = {
      name: String(form.get('name') ?? '').trim() || 'cable',
      gauge: (Number(form.get('gauge')) || null) as Gauge | null,
      lengthM: length === null ? null : Math.round(length * 100) / 100,
      path: String(form.get('path')) as Cable['path'],
      insulation: String(form.get('insulation')) as Cable['insulation']
    };
    const far = (String(form.get('far') ?? '') || null) as WhereId | null;
    if (current) {
      place.session.edit(setCable(place.job, place.thermostat.id, { ...current, ...facts, far }));
    } else {
      const count = Number(form.get('count'));
      const usual = usualColours(Math.min(count, 8));
      const colours = Array.from({ length: count }, (_, index) =>
        form.get('usual') ? (usual[index] ?? null) : null
      );
      place.session.edit(addCable(place.job, place.thermostat.id, { ...facts, colours, far }));
    }
    why = '';
    onclose();
  }
</script>

<Dialog {open} title={current ? `Cable: ${current.name}` : 'Add a cable'} {onclose}>
  <form class="grid gap-3 sm:grid-cols-2" onsubmit={submit}>
    <label class="flex flex-col gap-1 text-sm sm:col-span-2"
      >What it looks like
      <input
        class="input w-full"
        name="name"
        maxlength={SHORT_TEXT}
        placeholder="brown cable"
        value={current?.name ?? ''}
      />
    </label>
    {#if !current}
      <label class="flex flex-col gap-1 text-sm"
        >Wires, spare ones too
        <select class="select w-full" name="count" value="5">
          {#each [2, 3, 4, 5, 6, 7, 8, 10, 12] as count (count)}<option value={count}>{count}</option>{/each}
        </select>
      </label>
    {/if}
    <label class="flex flex-col gap-1 text-sm"
      >Gauge
      <select class="select w-full" name="gauge" value={current?.gauge ?? ''}>
        <option value="">not read</option>
        {#each GAUGES as gauge (gauge)}<option value={gauge}>{gauge} AWG</option>{/each}
      </select>
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >Length, one way ({feet ? 'feet' : 'metres'})
      <input
        class="input w-full"
        name="length"
        inputmode="decimal"
        placeholder="not known"
        value={shownLength}
      />
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >In the wall it is
      <select class="select w-full" name="path" value={current?.path ?? 'unknown'}>
        <option value="unknown">not known</option>
        <option value="free">free: it moves when pulled gently</option>
        <option value="stapled">stapled</option>
      </select>
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >Its insulation, when a wire is bent
      <select class="select w-full" name="insulation" value={current?.insulation ?? 'unknown'}>
        <option value="unknown">not looked at</option>
        <option value="sound">stays whole</option>
        <option value="brittle">cracks or crumbles (brittle)</option>
      </select>
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >It goes to
      <select class="select w-full" name="far" value={shownEnd}>
        <option value="">not known</option>
        {#each ends as end (end.id)}<option value={end.id}>{end.name}</option>{/each}
      </select>
    </label>
    {#if !current}
      <label class="flex items-center gap-2 text-sm sm:col-span-2">
        <input type="checkbox" class="checkbox" name="usual" checked /> Start with the colours such a cable usually
        has (check each one)
      </label>
    {/if}
    {#if why}<p class="text-sm sm:col-span-2" role="alert">{why}</p>{/if}
    <div class="flex justify-end gap-2 sm:col-span-2">
      <button class="btn btn-primary">{current ? 'Keep' : 'Add the cable'}</button>
    </div>
  </form>
</Dialog>
