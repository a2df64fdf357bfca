<script lang="ts">
  /** The landing as a typed mark: letters in a frame when landed, a word when not. */
  import { endText, type EndView } from './rows';

  interface Props {
    end: EndView;
    typing?: string | null;
  }

  let { end, typing = null }: Props = $props();
</script>

<span class="mark" data-state={typing !== null ? 'typing' : end.state} class:moved={end.moved}>
  {#if typing !== null}<span class="inline-flex">{typing}<span class="caret"></span></span>{:else}{endText(
      end
    )}{/if}
  {#if end.moved}<span class="sr-only">, moved</span>{/if}
  {#if end.where !== '' && typing === null}<span class="where">{end.where}</span>{/if}
</span>

<style>
  .mark {
    display: inline-flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    min-width: 3.2rem;
    padding: 0.2rem 0.4rem;
    border-radius: 0.25rem;
    line-height: 1.25;
    white-space: nowrap;
  }

  .mark[data-state='landed'] {
    font-weight: 700;
    border: 1.5px solid var(--color-base-content);
    background: var(--color-base-100);
  }

  .mark[data-state='loose'],
  .mark[data-state='coiled'] {
    border: 1.5px dashed color-mix(in oklab, var(--color-base-content) 60%, transparent);
  }

  .mark[data-state='unseen'] {
    font-style: italic;
    color: color-mix(in oklab, var(--color-base-content) 78%, transparent);
  }

  .mark[data-state='typing'] {
    border: 1.5px solid var(--color-primary);
    background: var(--color-base-100);
    font-weight: 700;
  }

  .where {
    display: block;
    max-width: 6rem;
    overflow: hidden;
    text-overflow: ellipsis;
    font-size: 0.6875rem;
    font-weight: 400;
    line-height: 1.1;
  }

  .caret {
    width: 2px;
    height: 1.1em;
    margin-left: 2px;
    background: var(--color-primary);
  }

  .moved {
    background: var(--color-base-content) !important;
    color: var(--color-base-100) !important;
    border-color: var(--color-base-content) !important;
  }
</style>
