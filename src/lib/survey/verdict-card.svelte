<script lang="ts">
  /** Before anything is bought: the verdict, and every reason for it. */
  import CalendarClock from '@lucide/svelte/icons/calendar-clock';
  import CircleCheck from '@lucide/svelte/icons/circle-check';
  import CircleX from '@lucide/svelte/icons/circle-x';
  import Hammer from '@lucide/svelte/icons/hammer';
  import { BUYING_NAMES } from '$core/survey/verdicts';
  import { dayText } from '$core/trade/figures';
  import { levelCounts } from '../reasons/levels';
  import { findingWords } from '../reasons/finding-words.svelte';
  import FindingList from '../reasons/finding-list.svelte';
  import { getPlace } from '../state/context';
  import { say } from '../words/manner.svelte';

  const place = getPlace();
  const shapes = {
    'buy-now': CircleCheck,
    'buy-and-wait': CalendarClock,
    'prepare-first': Hammer,
    'do-not-buy': CircleX
  };
  const Shape = $derived(shapes[place.buying.verdict]);
  const findings = $derived(place.buying.findings);
  const says = {
    'buy-now': 'Nothing that is recorded asks to wait.',
    'buy-and-wait': 'Buy it, and do the work on a day that suits.',
    'prepare-first': 'Something has to be settled before money is spent.',
    'do-not-buy': 'As things stand, leave it.'
  };
</script>

<section
  class="sheet-of-paper border-2 p-4"
  aria-label="Verdict before buying"
  data-verdict={place.buying.verdict}
>
  <p class="flex items-center gap-3 text-xl font-bold">
    <Shape size={28} aria-hidden="true" />{BUYING_NAMES[place.buying.verdict]}{#if place.buying.until}<span
        class="font-normal">from about {say(dayText(place.buying.until))}</span
      >{/if}
  </p>
  <p class="quiet">{says[place.buying.verdict]}</p>
  {#if place.buying.because}
    <p class="mt-2">{say(findingWords(place.buying.because, place.job.units))}</p>
  {/if}
  {#if findings.length > 0}
    <details class="mt-2">
      <summary class="min-h-8 cursor-pointer py-1 font-semibold">Why? {levelCounts(findings)}</summary>
      <div class="mt-2"><FindingList {findings} /></div>
    </details>
  {/if}
</section>
