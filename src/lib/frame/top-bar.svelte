<script lang="ts">
  /** The open job: its name, undo and redo, its state of keeping, its file. */
  import Download from '@lucide/svelte/icons/download';
  import Redo2 from '@lucide/svelte/icons/redo-2';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import { lastDone, nextAgain } from '$core/job/history';
  import { describe } from '$core/job/steps';
  import { exportJob } from '../files/job-file';
  import { jobStore } from '../state/store';
  import { getSession } from '../state/context';
  import ThemeButton from './theme-button.svelte';

  const session = $derived(getSession()());
  const last = $derived(lastDone(session.history));
  const next = $derived(nextAgain(session.history));
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

<header class="no-print flex items-center gap-1 py-2">
  <a href="/" class="mr-2 flex-none" aria-label="All jobs"
    ><img src="/icon.svg" alt="" width="32" height="32" /></a
  >
  <div class="min-w-0 flex-1 leading-tight">
    <a href="/" class="quiet block text-sm hover:underline">All jobs</a>
    <span class="block truncate font-semibold">{session.job.name}</span>
  </div>
  <span class="quiet hidden text-sm sm:block" role="status">{keeping}</span>
  <button
    type="button"
    class="btn btn-ghost btn-square"
    disabled={!session.canUndo}
    aria-label={last ? `Take back: ${describe(last)}` : 'Take back'}
    title={last ? `Take back: ${describe(last)}` : undefined}
    onclick={() => session.undo()}><Undo2 size={20} /></button
  >
  <button
    type="button"
    class="btn btn-ghost btn-square"
    disabled={!session.canRedo}
    aria-label={next ? `Do again: ${describe(next)}` : 'Do again'}
    onclick={() => session.redo()}><Redo2 size={20} /></button
  >
  <button
    type="button"
    class="btn btn-ghost btn-square"
    aria-label="Export the job as a file"
    title="Export"
    onclick={() => void exportJob(jobStore(), session.job)}><Download size={20} /></button
  >
  <ThemeButton />
</header>
