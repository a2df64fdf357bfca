<script lang="ts">
  /** The letters of the old plate that carry a wire, touched one by one, and how many wires are left over in the wall. */
  import type { QuickLook } from '$core/survey/quick-look';
  import { COMMON_MARKS } from '$core/trade/terminals';

  let { look = $bindable() }: { look: QuickLook } = $props();

  function toggle(letter: string): void {
    const letters = look.letters.includes(letter)
      ? look.letters.filter((other) => other !== letter)
      : COMMON_MARKS.filter((other) => other === letter || look.letters.includes(other));
    look = { ...look, letters };
  }

  function count(coiled: number): void {
    look = { ...look, coiled: look.coiled === coiled ? null : coiled };
  }
</script>

<h2 id="ask-letters" class="section-title mb-2">Touch the letters that have a wire</h2>
<div class="flex flex-wrap gap-2">
  {#each COMMON_MARKS as letter (letter)}
    {@const on = look.letters.includes(letter)}
    <button
      type="button"
      class="btn h-12 min-w-14 text-lg"
      class:btn-neutral={on}
      class:btn-outline={!on}
      aria-pressed={on}
      onclick={() => toggle(letter)}>{letter}</button
    >
  {/each}
</div>
<h2 class="section-title mt-4 mb-2" id="ask-coiled">Wires left over, coiled in the wall?</h2>
<div class="flex flex-wrap gap-2" role="group" aria-labelledby="ask-coiled">
  {#each [0, 1, 2, 3, 4] as number (number)}
    <button
      type="button"
      class="btn h-12 min-w-14"
      class:btn-neutral={look.coiled === number}
      class:btn-outline={look.coiled !== number}
      aria-pressed={look.coiled === number}
      onclick={() => count(number)}>{number === 0 ? 'None' : number}</button
    >
  {/each}
</div>
