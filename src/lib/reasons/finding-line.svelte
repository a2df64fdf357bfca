<script lang="ts">
  /** The frame of one thing that is said: its weight as a word and a shape, then what is said of it. */
  import type { Snippet } from 'svelte';
  import Info from '@lucide/svelte/icons/info';
  import OctagonX from '@lucide/svelte/icons/octagon-x';
  import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
  import type { FindingLevel } from '$core/findings/finding';
  import { LEVEL_WORDS } from './levels';

  let { level, code, children }: { level: FindingLevel; code: string; children: Snippet } = $props();
  const shapes = { stop: OctagonX, warn: TriangleAlert, note: Info };
  const Shape = $derived(shapes[level]);
</script>

<li class="finding" data-level={level} data-code={code}>
  <span class="mt-0.5 flex-none"><Shape size={18} aria-hidden="true" /></span>
  <div class="min-w-0"><b>{LEVEL_WORDS[level]}.</b> {@render children()}</div>
</li>

<style>
  .finding {
    display: flex;
    gap: 0.5rem;
    padding: 0.5rem 0.75rem;
    border-left: 3px solid var(--color-base-300);
  }

  .finding[data-level='warn'] {
    border-left-color: color-mix(in oklab, var(--color-base-content) 55%, transparent);
  }

  .finding[data-level='stop'] {
    border-left: 6px double var(--color-base-content);
    background: color-mix(in oklab, var(--color-base-content) 7%, transparent);
  }
</style>
