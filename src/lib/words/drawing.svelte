<script lang="ts">
  /** Small drawings of the words of the trade, in the ink of the page: they carry no colour that would mean something. */
  import type { Drawing } from '$core/words/glossary';

  const { which }: { which: Drawing } = $props();
</script>

<svg viewBox="0 0 160 90" width="160" height="90" role="presentation" aria-hidden="true">
  <g fill="none" stroke="currentColor" stroke-width="2.2" stroke-linecap="round" stroke-linejoin="round">
    {#if which === 'loop'}
      <rect x="8" y="25" width="34" height="40" rx="4" /><path d="M18 35v20M26 35v20M34 35v20" />
      <rect x="118" y="20" width="34" height="50" rx="6" /><circle cx="135" cy="38" r="8" />
      <path d="M42 32h76M108 27l8 5-8 5M118 60H42M52 55l-8 5 8 5" />
    {:else if which === 'jumper'}
      <rect x="30" y="50" width="100" height="26" rx="4" /><circle cx="55" cy="63" r="6" /><circle
        cx="105"
        cy="63"
        r="6"
      />
      <path d="M55 57C55 18 105 18 105 57" />
    {:else if which === 'terminal'}
      <rect x="35" y="25" width="60" height="42" rx="4" /><circle cx="78" cy="46" r="9" /><path
        d="M72 41l12 10M10 46h58"
      />
    {:else if which === 'transformer'}
      <path
        d="M20 22h30c12 0 12 15 0 15 12 0 12 15 0 15 12 0 12 15 0 15H20M140 22h-30c-12 0-12 15 0 15-12 0-12 15 0 15-12 0-12 15 0 15h30M76 18v54M84 18v54"
      />
    {:else if which === 'board'}
      <rect x="20" y="12" width="120" height="66" rx="4" /><rect
        x="30"
        y="22"
        width="36"
        height="20"
        rx="2"
      />
      {#each [0, 1, 2, 3, 4] as at (at)}<circle cx={38 + at * 21} cy="64" r="6" />{/each}
    {:else if which === 'spare'}
      <path d="M10 30h70M10 45h70M10 60h60c14 0 20 18 6 18s-10-22 6-22 18 24 2 24" /><rect
        x="80"
        y="20"
        width="18"
        height="34"
        rx="3"
      />
    {:else if which === 'heat-pump'}
      <rect x="88" y="22" width="60" height="50" rx="5" /><circle cx="118" cy="47" r="16" /><path
        d="M118 47l11-8M118 47l-2 13M118 47l-11-6M70 38H20M28 32l-8 6 8 6M20 58h50M62 52l8 6-8 6"
      />
    {:else if which === 'zone-valve'}
      <path d="M8 60h50M102 60h50M58 48l44 24V48L58 72z" /><rect
        x="62"
        y="16"
        width="36"
        height="26"
        rx="4"
      /><path d="M80 42v18" />
    {:else if which === 'wire-nut'}
      <path d="M62 20h36l10 40H52zM66 60v22M80 60v22M94 60v22M70 24l-6 34M80 22v36M90 24l6 34" />
    {:else if which === 'fuse'}
      <path d="M46 20h68v34H46zM56 54v24M104 54v24M60 36c10-12 30 12 40 0" />
    {/if}
  </g>
</svg>
