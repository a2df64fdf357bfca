<script lang="ts">
  /** Sets the insulation's colour: every swatch carries its name and code. */
  import { COLOUR_CODES, COLOURS, type ColourCode } from '$core/trade/colours';
  import Dialog from '../frame/dialog.svelte';
  import ColourChip from './colour-chip.svelte';

  interface Props {
    open: boolean;
    title: string;
    current: ColourCode | null;
    none: string;
    onpick: (code: ColourCode | null) => void;
    onclose: () => void;
  }

  let { open, title, current, none, onpick, onclose }: Props = $props();
</script>

<Dialog {open} {title} {onclose}>
  <div class="grid grid-cols-3 gap-2">
    {#each COLOUR_CODES as code (code)}
      <button
        type="button"
        class="btn btn-outline h-14 justify-start gap-2 px-2 font-normal"
        aria-pressed={current === code}
        class:border-4={current === code}
        onclick={() => onpick(code)}
      >
        <ColourChip {code} /> <span class="truncate">{COLOURS[code].name}</span>
      </button>
    {/each}
    <button
      type="button"
      class="btn btn-outline h-14 border-dashed font-normal"
      aria-pressed={current === null}
      onclick={() => onpick(null)}>{none}</button
    >
  </div>
</Dialog>
