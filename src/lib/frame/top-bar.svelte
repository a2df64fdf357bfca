<script lang="ts">
  /** The open job: which thermostat, how it stands, what is next, undo and redo, its state of keeping, its file. */
  import Download from '@lucide/svelte/icons/download';
  import Ellipsis from '@lucide/svelte/icons/ellipsis';
  import Redo2 from '@lucide/svelte/icons/redo-2';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import type { Snippet } from 'svelte';
  import { lastDone, nextAgain } from '$core/job/history';
  import { describe } from '$core/job/steps';
  import { takeOutJob } from '../state/take-out';
  import { getSession } from '../state/context';
  import Dialog from './dialog.svelte';
  import PlaceMenu from './place-menu.svelte';
  import ThemeButton from './theme-button.svelte';

  interface Props {
    /** How the place stands, once that is known. */
    standing: Snippet;
    /** The one next step, once that is known. */
    next: Snippet;
  }

  const { standing, next: nextStep }: Props = $props();
  const session = $derived(getSession()());
  const last = $derived(lastDone(session.history));
  const again = $derived(nextAgain(session.history));
  let more = $state(false);
  const keeping = $derived(
    {
      saved: 'Saved',
      saving: 'Saving …',
      full: 'Not saved',
      refused: 'Not saved',
      conflict: 'Not saved',
      gone: 'Not kept'
    }[session.keeping.state]
  );

  function key(event: KeyboardEvent): void {
    const field = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
    if (field || document.querySelector('dialog[open]') || !(event.ctrlKey || event.metaKey)) return;
    const letter = event.key.toLowerCase();
    if (letter === 'z' || letter === 'y') event.preventDefault();
    if (letter === 'y' || (letter === 'z' && event.shiftKey)) session.redo();
    else if (letter === 'z') session.undo();
  }
</script>

<svelte:window onkeydown={key} />

{#snippet redo()}
  <button
    type="button"
    class="btn btn-ghost btn-square"
    disabled={!session.canRedo}
    aria-label={again ? `Do again: ${describe(again)}` : 'Do again'}
    onclick={() => session.redo()}><Redo2 size={20} /></button
  >
{/snippet}
{#snippet exporting()}
  <button
    type="button"
    class="btn btn-ghost btn-square"
    aria-label="Export the job as a file"
    title="Export"
    onclick={() => void takeOutJob(session)}><Download size={20} /></button
  >
{/snippet}

<header class="no-print flex items-center gap-1 py-1">
  <a href="/" class="mr-2 flex-none" aria-label="All jobs"
    ><img src="/icon.svg" alt="" width="32" height="32" /></a
  >
  <div class="min-w-0 flex-1">
    <PlaceMenu />
    {@render standing()}
  </div>
  <div class="next">{@render nextStep()}</div>
  <span class="quiet hidden pl-2 text-sm sm:block" role="status">{keeping}</span>
  <button
    type="button"
    class="btn btn-ghost btn-square"
    disabled={!session.canUndo}
    aria-label={last ? `Take back: ${describe(last)}` : 'Take back'}
    title={last ? `Take back: ${describe(last)}` : undefined}
    onclick={() => session.undo()}><Undo2 size={20} /></button
  >
  <div class="hidden sm:contents">
    {@render redo()}
    {@render exporting()}
    <ThemeButton />
  </div>
  <button
    type="button"
    class="btn btn-ghost btn-square sm:hidden"
    aria-label="More"
    aria-haspopup="dialog"
    onclick={() => (more = true)}><Ellipsis size={20} /></button
  >
</header>

<Dialog open={more} title="More" onclose={() => (more = false)}>
  <ul class="flex flex-col gap-1">
    <li class="flex items-center gap-2">{@render redo()}Do again what you took back</li>
    <li class="flex items-center gap-2">{@render exporting()}Export the job as a file</li>
    <li class="flex items-center gap-2"><ThemeButton />Light or dark</li>
    <li><a class="btn btn-ghost justify-start" href="/">All jobs</a></li>
    <li><a class="btn btn-ghost justify-start" href="/words">Words of the trade</a></li>
  </ul>
</Dialog>

<style>
  header {
    min-height: 3.25rem;
  }

  .next {
    flex: 0 1 27rem;
    min-width: 0;
  }

  @media (max-width: 899px) {
    .next {
      flex: none;
    }
  }
</style>
