<script lang="ts">
  /** Sets an end by touch: large marks of each screw there, and the three states of an end that is on nothing. */
  import type { Screw, WhereId } from '$core/job/schema';
  import { screwName } from '$core/job/screws';
  import type { EndSide } from '$core/trade/vocabulary';
  import { markFacts } from '$core/trade/terminals';
  import Dialog from '../frame/dialog.svelte';
  import { otherMarks, readEnd } from './grid-keys';
  import { emptied, typedHere } from '../state/typed.svelte';

  interface ScrewsThere {
    readonly id: WhereId;
    readonly name: string;
    readonly screws: readonly Screw[];
  }

  interface Props {
    open: boolean;
    side: EndSide;
    name: string;
    /** The state or the name of the screw that the end is on now. */
    current: string;
    /** Where this end may be; the likeliest first. */
    places: readonly ScrewsThere[];
    onpick: (word: string, where: WhereId) => void;
    onclose: () => void;
  }

  let { open, side, name, current, places, onpick, onclose }: Props = $props();
  const typedIn = typedHere('end', { other: '' }, { part: () => `${side} ${name}` });
  let chosen = $state<WhereId | null>(null);

  const states = [
    { word: 'loose', text: 'Loose', more: 'bare or cut, on nothing' },
    { word: 'coiled', text: 'Coiled', more: 'insulated, wrapped back' },
    { word: 'unseen', text: 'Not seen', more: 'nobody has looked' }
  ];
  const wide = $derived(side === 'wall' ? 'At the wall' : 'At the equipment');
  const typed = $derived(typedIn.other === '' ? null : readEnd(typedIn.other));
  const there = $derived(places.find((place) => place.id === chosen) ?? places[0]);
  const screws = $derived(there?.screws ?? []);

  function pick(word: string): void {
    if (there) onpick(word, there.id);
    chosen = null;
  }

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    if (typed?.ok) pick(typed.word);
    emptied(typedIn);
  }
</script>

{#snippet markButton(word: string, print: string)}
  <button
    type="button"
    class="btn h-14 text-lg font-bold"
    class:btn-neutral={current === word}
    class:btn-outline={current !== word}
    title={markFacts(print)?.means}
    onclick={() => pick(word)}>{word}</button
  >
{/snippet}

<Dialog {open} title="{wide}: where does the {name} end?" {onclose}>
  {#if places.length > 1}
    <div class="mb-3 flex flex-wrap gap-2" role="group" aria-label="At which place">
      {#each places as place (place.id)}
        <button
          type="button"
          class="btn btn-sm"
          class:btn-neutral={place.id === there?.id}
          class:btn-outline={place.id !== there?.id}
          aria-pressed={place.id === there?.id}
          onclick={() => (chosen = place.id)}>{place.name}</button
        >
      {/each}
    </div>
  {/if}
  <div class="grid grid-cols-4 gap-2 sm:grid-cols-6">
    {#each screws as screw (screw.id)}{@render markButton(screwName(screws, screw.id), screw.mark)}{/each}
    {#each otherMarks(screws) as mark (mark)}{@render markButton(mark, mark)}{/each}
  </div>
  <div class="mt-3 grid grid-cols-3 gap-2">
    {#each states as state (state.word)}
      <button
        type="button"
        class="btn h-auto min-h-16 flex-col gap-0 border-dashed py-2 font-semibold"
        class:btn-neutral={current === state.word}
        class:btn-outline={current !== state.word}
        onclick={() => pick(state.word)}
      >
        {state.text}<span class="text-xs font-normal">{state.more}</span>
      </button>
    {/each}
  </div>
  <form class="mt-3 flex items-end gap-2" onsubmit={submit}>
    <label class="flex flex-1 flex-col gap-1 text-sm"
      >Another mark, as printed; T#2 for the second T
      <input class="input w-full uppercase" maxlength="15" autocomplete="off" bind:value={typedIn.other} />
    </label>
    <button class="btn btn-primary" disabled={!typed?.ok}>Set</button>
  </form>
  {#if typed && !typed.ok}<p class="mt-1 text-sm" role="alert">{typed.why}</p>{/if}
</Dialog>
