<script lang="ts">
  /** One look: where, what it takes, the question, and its answers large enough for a thumb; volts as a figure or by bands. */
  import type { LookReport } from '$core/formats/diagnose-report';
  import { percentText } from '$core/trade/figures';
  import Explained from '../words/explained.svelte';
  import { say } from '../words/manner.svelte';
  import { emptied, typedHere } from '../state/typed.svelte';

  interface Props {
    look: LookReport;
    /** Names of places by their ids. */
    places: ReadonlyMap<string, string>;
    /** Where every supply is switched off and proven off; empty where nothing holds this look back. */
    proveAt: string;
    onanswer: (value: string | number, label: string) => void;
  }

  let { look, places, proveAt, onanswer }: Props = $props();
  const takes = $derived(
    [
      `At ${places.get(look.place) ?? 'the machine'}`,
      look.power === 'off' ? 'power off' : look.power === 'on' ? 'power on' : '',
      look.needs === 'meter'
        ? 'meter, low-voltage screws only'
        : look.needs === 'helper'
          ? 'a second person'
          : '',
      `about ${Math.max(1, Math.round(look.minutes))} min`
    ].filter(Boolean)
  );
  const typed = typedHere('look', { volts: '' }, { part: () => look.id });
  const volts = $derived(Number(typed.volts.replace(',', '.')));
  const holds = $derived(typed.volts.trim() !== '' && Number.isFinite(volts) && volts >= 0 && volts <= 1000);

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    if (holds) onanswer(volts, `${volts} V`);
    emptied(typed);
  }
</script>

<p class="quiet text-sm">{takes.join(' · ')}</p>
<p class="mt-1 text-xl leading-snug font-semibold" data-ask={look.id}>{say(look.ask)}</p>
{#if look.how}<p class="mt-1"><Explained text={look.how} /></p>{/if}
{#if proveAt !== ''}
  <div class="rounded-box mt-3 border-2 border-base-300 p-3" role="status" data-gate="prove-off">
    <p class="font-semibold">First: every supply off, and proven off today.</p>
    <a class="btn btn-primary mt-2" href={proveAt}>Prove it</a>
  </div>
{:else}
  {#if look.reading}
    <form class="mt-3 flex items-end gap-2" onsubmit={submit}>
      <label class="flex flex-col gap-1 text-sm"
        >Volts AC <input class="input w-32" inputmode="decimal" bind:value={typed.volts} /></label
      >
      <button class="btn btn-primary" disabled={!holds}>Record</button>
    </form>
    <p class="mt-3 text-sm">Or about:</p>
  {/if}
  <div class="mt-3 flex flex-col gap-2" role="group" aria-label={say(look.ask)}>
    {#each look.answers as answer (answer.value)}
      <button
        type="button"
        class="btn btn-outline h-auto min-h-12 justify-start py-2 text-left whitespace-normal"
        onclick={() => onanswer(answer.value, answer.label)}
        ><span class="flex flex-col"
          ><span>{say(answer.label)}</span>{#if answer.then}<span class="text-xs font-normal"
              >then {say(answer.then.says)}: {percentText(answer.then.probability)}</span
            >{/if}</span
        ></button
      >
    {/each}
  </div>
{/if}
