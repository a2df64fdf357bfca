<script lang="ts">
  /** How lengths, temperatures, words, dates and money are written. Units are the job's; the rest is this device's. */
  import { setStep } from '$core/job/steps';
  import type { Job } from '$core/job/schema';
  import { CURRENCY_CODES, dateText, LOCALES, moneyText } from '$core/words/manner';
  import ChoiceField from '../fields/choice-field.svelte';
  import type { JobSession } from '../state/session.svelte';
  import { manner, setManner } from '../words/manner.svelte';
  import Dialog from './dialog.svelte';

  interface Props {
    open: boolean;
    /** The open job; without one there are no units to set. */
    session?: JobSession | null;
    onclose: () => void;
  }

  let { open, session = null, onclose }: Props = $props();
  const SAMPLE_DAY = '2026-03-05';
  /** A language that the browser brought along stays in the list. */
  const locales = $derived([...new Set([manner().locale, ...LOCALES])]);
  const dates = $derived(
    locales.map(
      (locale) => [locale, `${dateText(SAMPLE_DAY, { ...manner(), locale })} (${locale.slice(3)})`] as const
    )
  );

  function setUnits(change: Partial<Job['units']>): void {
    if (session) session.edit(setStep(session.job, ['units'], { ...session.job.units, ...change }, 'Units'));
  }
</script>

<Dialog {open} title="Settings" {onclose}>
  <div class="grid gap-3 sm:grid-cols-2">
    {#if session}
      <ChoiceField
        label="Lengths in this job"
        value={session.job.units.length}
        choices={[
          ['m', 'metres and millimetres'],
          ['ft', 'feet and inches']
        ]}
        onset={(length) => setUnits({ length })}
      />
      <ChoiceField
        label="Temperatures in this job"
        value={session.job.units.temperature}
        choices={[
          ['C', '°C'],
          ['F', '°F']
        ]}
        onset={(temperature) => setUnits({ temperature })}
      />
    {/if}
    <ChoiceField
      label="Spelling"
      value={manner().spelling}
      choices={[
        ['american', 'American: color, meter'],
        ['british', 'British: colour, metre']
      ]}
      onset={(spelling) => setManner({ spelling })}
    />
    <ChoiceField
      label="Dates and figures"
      value={manner().locale}
      choices={dates}
      onset={(locale) => setManner({ locale })}
    />
    <ChoiceField
      label="Money"
      value={manner().currency}
      choices={CURRENCY_CODES.map((currency) => [
        currency,
        `${currency}: ${moneyText(150, { ...manner(), currency })}`
      ])}
      onset={(currency) => setManner({ currency })}
    />
  </div>
  <p class="quiet mt-3 text-sm">
    Prices are not converted: those in the sample list are made up, all others are what you typed. Files and
    lists keep metres, °C and plain figures.
  </p>
  <div class="mt-4 flex justify-end">
    <button type="button" class="btn btn-primary" onclick={onclose}>Done</button>
  </div>
</Dialog>
