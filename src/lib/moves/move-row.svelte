<script lang="ts">
  /** One move: a tick, what the hands do, with what; a picture of both ends before and after. */
  import { moveSvg } from '$core/formats/move-svg';
  import type { Move } from '$core/plan/move-types';
  import type { Wiring } from '$core/wiring/graph';
  import { say } from '../words/manner.svelte';

  interface Props {
    move: Omit<Move, 'id'>;
    number: number;
    /** When it was done, as one reads it; null while it is not. */
    done: string | null;
    next: boolean;
    /** The wiring as it stands before this move, and after it. */
    before: Wiring | undefined;
    after: Wiring | undefined;
    /** Whose it is, where a list holds the moves of several thermostats. */
    whose?: string;
    /** Where its conductor stands on the strand sheet, for when the house is otherwise than recorded; none for other moves. */
    record?: string | null;
    /** It cannot be ticked yet. */
    locked?: boolean;
    ontick: () => void;
  }

  let {
    move,
    number,
    done,
    next,
    before,
    after,
    whose = '',
    record = null,
    locked = false,
    ontick
  }: Props = $props();
  const picture = $derived(
    before && after
      ? moveSvg(before, after, move, { line: 'currentColor', paper: 'var(--color-base-100)' })
      : null
  );
  const lead = $derived(whose === '' ? '' : `${whose}: `);
  const facts = $derived(
    [move.strip === null ? '' : `strip ${move.strip}`, move.tools.join(', ')].filter(Boolean).join('; ')
  );
</script>

<li class="move" data-action={move.action} data-done={done !== null} data-next={next}>
  <label class="flex min-h-11 cursor-pointer items-start gap-3 py-1.5">
    <input
      type="checkbox"
      class="checkbox mt-0.5 flex-none"
      checked={done !== null}
      disabled={locked}
      onchange={ontick}
      aria-label="Done: {say(move.text)}"
    /><span class="w-6 flex-none text-right font-semibold">{number}</span><span class="min-w-0"
      ><b>{lead}</b>{say(move.text)}{#if done !== null}<span class="quiet text-sm">&ensp;done {done}</span
        >{/if}{#if facts}<span class="quiet block text-sm">{facts}</span>{/if}</span
    >
  </label>
  {#if picture}
    <details class="ml-18 pb-1" open={next}>
      <summary class="quiet cursor-pointer py-1.5 text-sm"
        >{next ? 'Both ends, before and after' : 'Picture'}</summary
      >
      <!-- Made by the core out of the record; every text in it is escaped there. -->
      <!-- eslint-disable-next-line svelte/no-at-html-tags -->
      <div class="picture">{@html picture}</div>
      {#if record !== null}<a class="no-print inline-block py-1 text-sm underline" href={record}
          >Not so in the house? Put this wire right</a
        >{/if}
    </details>
  {/if}
</li>

<style>
  .move[data-done='true'] {
    color: color-mix(in oklab, var(--color-base-content) 76%, transparent);
  }

  .move[data-next='true'] {
    border-left: 4px solid var(--color-primary);
    padding-left: 0.5rem;
    margin-left: -0.75rem;
  }

  .picture :global(svg) {
    max-width: 100%;
    height: auto;
    margin-top: 0.25rem;
  }

  /* What belongs to one act stands together: a picture at the foot of a move is not the head of the next. */
  .move + :global(.move) {
    border-top: 1px solid var(--color-base-300);
  }

  @media (max-width: 599px) {
    details {
      margin-left: 0;
    }

    summary {
      margin-left: 4.5rem;
    }
  }

  @media print {
    li {
      break-inside: avoid;
    }
  }
</style>
