<script lang="ts">
  /** Sets an end by touch: large marks, and the three states of an end that is on nothing. */
  import type { EndSide } from '$core/trade/vocabulary';
  import { markFacts } from '$core/trade/terminals';
  import Dialog from '../frame/dialog.svelte';
  import { offeredMarks, readEnd } from './grid-keys';

  interface Props {
    open: boolean;
    side: EndSide;
    name: string;
    current: string;
    marks: readonly string[];
    onpick: (word: string) => void;
    onclose: () => void;
  }

  let { open, side, name, current, marks, onpick, onclose }: Props = $props();
  let other = $state('');

  const states = [
    { word: 'loose', text: 'Loose', more: 'bare or cut, on nothing' },
    { word: 'coiled', text: 'Coiled', more: 'insulated, wrapped back' },
    { word: 'unseen', text: 'Not seen', more: 'nobody has looked' }
  ];
  const wide = $derived(side === 'wall' ? 'At the wall' : 'At the equipment');
  const typed = $derived(other === '' ? null : readEnd(other));

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    if (typed?.ok) onpick(typed.word);
    other = '';
  }
</script>

<Dialog {open} title="{wide}: where does the {name} conductor end?" {onclose}>
  <div class="grid grid-cols-4 gap-2 sm:grid-cols-6">
    {#each offeredMarks(marks) as mark (mark)}
      <button
        type="button"
        class="btn h-14 text-lg font-bold"
        class:btn-neutral={current === mark}
        class:btn-outline={current !== mark}
        title={markFacts(mark)?.means}
        onclick={() => onpick(mark)}>{mark}</button
      >
    {/each}
  </div>
  <div class="mt-3 grid grid-cols-3 gap-2">
    {#each states as one (one.word)}
      <button
        type="button"
        class="btn h-auto min-h-16 flex-col gap-0 border-dashed py-2 font-semibold"
        class:btn-neutral={current === one.word}
        class:btn-outline={current !== one.word}
        onclick={() => onpick(one.word)}
      >
        {one.text}<span class="text-xs font-normal">{one.more}</span>
      </button>
    {/each}
  </div>
  <form class="mt-3 flex items-end gap-2" onsubmit={submit}>
    <label class="flex flex-1 flex-col gap-1 text-sm"
      >Another mark, as printed
      <input class="input w-full uppercase" maxlength="8" autocomplete="off" bind:value={other} />
    </label>
    <button class="btn btn-primary" disabled={!typed?.ok}>Set</button>
  </form>
  {#if typed && !typed.ok}<p class="mt-1 text-sm" role="alert">{typed.why}</p>{/if}
</Dialog>
