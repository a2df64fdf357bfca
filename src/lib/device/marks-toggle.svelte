<script lang="ts">
  /** Which terminals the sheet of a thermostat names: one touch on or off, and a field for a mark that is not listed. */
  import { COMMON_MARKS, markFacts } from '$core/trade/terminals';
  import { typedHere } from '../state/typed.svelte';

  interface Props {
    marks: readonly string[];
    label: string;
    onchange: (marks: string[]) => void;
  }

  let { marks, label, onchange }: Props = $props();
  const other = typedHere('device-terminal', { mark: '' });
  const shown = $derived([...new Set([...COMMON_MARKS, ...marks])]);
  const valid = $derived(/^[A-Za-z0-9+\-/]{1,8}$/.test(other.mark.trim()));

  function toggle(mark: string): void {
    onchange(marks.includes(mark) ? marks.filter((candidate) => candidate !== mark) : [...marks, mark]);
  }

  function add(event: SubmitEvent): void {
    event.preventDefault();
    const mark = other.mark.trim().toUpperCase();
    if (valid && !marks.includes(mark)) onchange([...marks, mark]);
    other.mark = '';
  }
</script>

<div role="group" aria-label={label}>
  <div class="flex flex-wrap gap-1.5">
    {#each shown as mark (mark)}
      <button
        type="button"
        class="btn btn-sm h-11 min-w-12 font-semibold sm:h-9"
        class:btn-neutral={marks.includes(mark)}
        class:btn-outline={!marks.includes(mark)}
        aria-pressed={marks.includes(mark)}
        title={markFacts(mark)?.means}
        onclick={() => toggle(mark)}>{mark}</button
      >
    {/each}
  </div>
  <form class="mt-2 flex gap-2" onsubmit={add}>
    <input
      class="input input-sm w-40 uppercase"
      maxlength="8"
      placeholder="another mark"
      aria-label="Another mark"
      bind:value={other.mark}
    />
    <button class="btn btn-outline btn-sm" disabled={!valid}>Add</button>
  </form>
</div>
