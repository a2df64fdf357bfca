<script lang="ts">
  /** Questions under one heading, each folded to a line with its answer; a line opens its card. */
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import { answerText } from '$core/questions/question';
  import type { SurveyCard } from '$core/questions/survey-cards';
  import { getPlace } from '../state/context';
  import { day, money, say } from '../words/manner.svelte';
  import QuestionCard from './question-card.svelte';

  interface Props {
    cards: readonly SurveyCard[];
  }

  let { cards }: Props = $props();
  const place = getPlace();
  let opened = $state<string | null>(null);
  const textOf = ({ question, value }: SurveyCard) =>
    say(answerText(question, value, place.job.units, { day, money }));
</script>

<ul class="divide-y divide-base-300">
  {#each cards as card (card.id)}
    {@const open = opened === card.id}
    {@const text = textOf(card)}
    <li>
      <button
        type="button"
        class="flex min-h-11 w-full items-center gap-3 py-1 text-left"
        aria-expanded={open}
        onclick={() => (opened = open ? null : card.id)}
      >
        <span class="max-w-[55%] flex-none">{say(card.question.label)}</span>
        <span class={['min-w-0 flex-1 text-right wrap-anywhere', text ? 'font-semibold' : 'quiet']}
          >{text || 'not known'}</span
        >
        <ChevronDown size={16} class={['flex-none', open && 'rotate-180']} aria-hidden="true" />
      </button>
      {#if open}
        <div class="pb-4"><QuestionCard {card} ondone={() => (opened = null)} /></div>
      {/if}
    </li>
  {/each}
</ul>
