<script lang="ts">
  /** A link (jumper) is a wire too: which two terminals, at which end, and what it is made of. */
  import { addLink, removeLink } from '$core/job/edits';
  import { LIMITS } from '$core/job/limits';
  import { placeName, placesFor } from '$core/job/places';
  import type { WhereId } from '$core/job/schema';
  import { readScrewName, refName, screwName } from '$core/job/screws';
  import Dialog from '../frame/dialog.svelte';
  import { getPlace } from '../state/context';
  import { emptied, typedHere } from '../state/typed.svelte';

  interface Props {
    open: boolean;
    onclose: () => void;
  }

  let { open, onclose }: Props = $props();
  const place = getPlace();
  const places = $derived([
    ...placesFor(place.job, place.thermostat, 'near').slice(0, 1),
    ...placesFor(place.job, place.thermostat, 'far')
  ]);
  let chosen = $state<WhereId | null>(null);
  const there = $derived(places.find((place) => place.id === chosen) ?? places[0]);
  const full = $derived(place.thermostat.links.length >= LIMITS.links.most);
  let why = $state('');
  const typed = typedHere('jumper', { a: '', b: '', kind: 'wire' as 'wire' | 'clip' | 'inside' });

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    const [a, b] = [typed.a, typed.b].map((mark) => mark.trim().toUpperCase());
    if (!a || !b || !there || ![a, b].every((word) => readScrewName(word))) {
      why = 'Name the two terminals by their marks, T#2 for the second T.';
      return;
    }
    if (a === b) {
      why = 'A jumper joins two different terminals.';
      return;
    }
    place.session.edit(addLink(place.job, place.thermostat.id, { at: there.id, a, b, kind: typed.kind }));
    emptied(typed);
    why = '';
    onclose();
  }
</script>

<Dialog {open} title="Jumpers" {onclose}>
  {#if place.thermostat.links.length > 0}
    <ul class="mb-4 flex flex-col gap-2">
      {#each place.thermostat.links as link (link.id)}
        <li class="flex items-center justify-between rounded border border-base-300 px-3 py-1">
          <span
            ><b>{refName(place.job, link.a)}</b> to <b>{refName(place.job, link.b)}</b>, at {placeName(
              place.job,
              link.at
            )}, {link.kind}</span
          >
          <button
            type="button"
            class="btn btn-ghost btn-sm"
            onclick={() => place.session.edit(removeLink(place.job, place.thermostat.id, link.id))}
            >Remove</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  <form class="grid grid-cols-2 gap-3" onsubmit={submit}>
    <label class="flex flex-col gap-1 text-sm"
      >Where
      <select
        class="select w-full"
        value={there?.id}
        onchange={(event) => (chosen = event.currentTarget.value as WhereId)}
        >{#each places as place (place.id)}<option value={place.id}>{place.name}</option>{/each}</select
      >
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >What it is
      <select class="select w-full" bind:value={typed.kind}
        ><option value="wire">a loose piece of wire</option><option value="clip">a clip</option><option
          value="inside">inside the thermostat</option
        ></select
      >
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >From terminal
      <input
        class="input w-full uppercase"
        bind:value={typed.a}
        list="link-marks"
        maxlength="15"
        autocomplete="off"
      />
    </label>
    <label class="flex flex-col gap-1 text-sm"
      >To terminal
      <input
        class="input w-full uppercase"
        bind:value={typed.b}
        list="link-marks"
        maxlength="15"
        autocomplete="off"
      />
    </label>
    <datalist id="link-marks"
      >{#each there?.screws ?? [] as screw (screw.id)}<option value={screwName(there?.screws ?? [], screw.id)}
        ></option>{/each}</datalist
    >
    {#if why}<p class="col-span-2 text-sm" role="alert">{why}</p>{/if}
    <div class="col-span-2 flex justify-end">
      <button class="btn btn-primary" disabled={full}>Add the jumper</button>
    </div>
  </form>
</Dialog>
