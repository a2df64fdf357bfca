<script lang="ts">
  /** The words of the trade, searchable. */
  import { searchWords } from '$core/words/glossary';
  import { counted } from '$core/words/text';
  import Drawing from '$lib/words/drawing.svelte';
  import { say } from '$lib/words/manner.svelte';

  let asked = $state('');
  const found = $derived(searchWords(asked, say));
</script>

<svelte:head><title>Words · Ulterum</title></svelte:head>

<main class="mx-auto flex max-w-3xl flex-col gap-4 px-4 py-4 pb-16">
  <p><a class="quiet underline" href="/">Ulterum</a></p>
  <h1 class="station-title">Words of the trade</h1>
  <label class="flex flex-col gap-1 text-sm"
    >Find a word
    <input class="input w-full" type="search" bind:value={asked} placeholder="common, jumper, valve" />
  </label>
  <p class="sr-only" role="status">{counted(found.length, 'word', 'words')}</p>
  {#if found.length === 0}<p>No such word here.</p>{/if}
  <dl class="flex flex-col gap-3">
    {#each found as word (word.id)}
      <div
        class={[
          'sheet-of-paper grid items-center gap-x-4 gap-y-1 p-4',
          word.drawing && 'sm:grid-cols-[minmax(0,1fr)_auto]'
        ]}
        id={word.id}
      >
        <dt class="section-title self-end">
          {say(word.term)}{#if word.also.length > 0}<span class="quiet text-sm font-normal"
              >&ensp;{say(word.also.join(', '))}</span
            >{/if}
        </dt>
        <dd class="self-start">{say(word.text)}</dd>
        {#if word.drawing}<dd class="mt-2 sm:col-start-2 sm:row-span-2 sm:row-start-1 sm:mt-0">
            <Drawing which={word.drawing} />
          </dd>{/if}
      </div>
    {/each}
  </dl>
</main>
