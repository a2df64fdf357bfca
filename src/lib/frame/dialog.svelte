<script lang="ts">
  /** A modal dialog on the platform's own element: it keeps the focus, closes on Escape and gives the focus back. */
  import type { Snippet } from 'svelte';
  import X from '@lucide/svelte/icons/x';

  interface Props {
    open: boolean;
    title: string;
    wide?: boolean;
    onclose: () => void;
    children: Snippet;
  }

  let { open, title, wide = false, onclose, children }: Props = $props();
  let element: HTMLDialogElement | undefined = $state();

  $effect(() => {
    if (open && element && !element.open) element.showModal();
    if (!open && element?.open) element.close();
  });

  /** Whoever opened it closes it: by itself it would be shut before that is known, and what is opened in between would be lost. */
  function cancel(event: Event): void {
    // A picker of files in it that is left says so here as well.
    if (event.target !== element) return;
    event.preventDefault();
    onclose();
  }

  /** A browser may shut it nevertheless. Word of that comes late: it may be open for something else by then. */
  function shut(): void {
    if (open && !element?.open) onclose();
  }
</script>

<dialog bind:this={element} class="dialog no-print" aria-label={title} oncancel={cancel} onclose={shut}>
  {#if open}
    <div class="panel p-4 sm:p-6" class:wide>
      <div class="mb-3 flex items-start justify-between gap-4">
        <h2 class="section-title pt-1">{title}</h2>
        <button type="button" class="btn btn-ghost btn-square btn-sm" aria-label="Close" onclick={onclose}
          ><X size={20} /></button
        >
      </div>
      {@render children()}
    </div>
  {/if}
  <button type="button" class="beside" tabindex="-1" aria-hidden="true" onclick={onclose}>close</button>
</dialog>

<style>
  .dialog {
    position: fixed;
    inset: 0;
    width: 100%;
    max-width: none;
    height: 100%;
    max-height: none;
    margin: 0;
    padding: 0;
    border: 0;
    color: inherit;
    background: oklch(0% 0 0 / 0.4);
    overflow: hidden auto;
    overscroll-behavior: contain;
    scrollbar-width: none;
  }

  .dialog[open] {
    display: grid;
    place-items: end center;
  }

  /* It can be scrolled by a hair, so that what is scrolled beside the panel is not the page behind. A rule that stops the page while a dialog is
     open somewhere would have the browser go through all of it at every change. */
  .dialog::after {
    content: '';
    position: absolute;
    top: 0;
    left: 0;
    width: 1px;
    height: calc(100% + 1px);
    pointer-events: none;
  }

  .dialog::backdrop {
    display: none;
  }

  .panel,
  .beside {
    grid-area: 1 / 1;
  }

  .panel {
    width: 100%;
    max-height: calc(100dvh - 5em);
    overflow-y: auto;
    overscroll-behavior: contain;
    background: var(--color-base-100);
    border-radius: var(--radius-box) var(--radius-box) 0 0;
    box-shadow: 0 25px 50px -12px oklch(0% 0 0 / 0.25);
  }

  /* A touch beside it closes it. */
  .beside {
    place-self: stretch;
    z-index: -1;
    color: transparent;
    cursor: pointer;
  }

  @media (min-width: 640px) {
    .dialog[open] {
      place-items: center;
    }

    .panel {
      width: 91.6667%;
      max-width: 32rem;
      border-radius: var(--radius-box);
    }

    .panel.wide {
      max-width: 48rem;
    }
  }

  @media (forced-colors: active) {
    .panel {
      outline: 1px solid;
      outline-offset: -1px;
    }
  }

  @media (prefers-reduced-motion: no-preference) {
    .panel {
      transition:
        translate 0.2s ease-out,
        opacity 0.2s ease-out;

      @starting-style {
        translate: 0 1rem;
        opacity: 0;
      }
    }
  }
</style>
