<script lang="ts">
  /** One question of the survey: what is asked, what it is for, and its answers large enough for a thumb. */
  import type { FieldValue } from '$core/questions/question';
  import type { SurveyCard } from '$core/questions/survey-cards';
  import QuestionField from '../questions/question-field.svelte';
  import { getPlace } from '../state/context';
  import { setAt } from '../state/set';
  import Explained from '../words/explained.svelte';
  import { say } from '../words/manner.svelte';

  interface Props {
    card: SurveyCard;
    /** Which machine it is about; empty for the house. */
    about?: string;
    /** Called before a value that is typed is kept: the card is to stay. */
    ontyping?: () => void;
    /** The question is done with: answered by a touch, or left. */
    ondone: () => void;
  }

  let { card, about = '', ontyping = () => undefined, ondone }: Props = $props();
  const place = getPlace();
  const { question, value } = $derived(card);
  /** More would be a wall of buttons. */
  const MOST_BUTTONS = 6;
  const buttons = $derived(
    question.answer.kind === 'choice' && question.answer.choices.length <= MOST_BUTTONS
      ? question.answer.choices.filter(([code]) => code !== 'unknown')
      : null
  );
  const canBeOpen = $derived(
    question.answer.kind === 'choice' && question.answer.choices.some(([code]) => code === 'unknown')
  );

  function set(next: FieldValue): void {
    // A machine without a name cannot be told from the others.
    if (question.field === 'name' && next === '') return;
    ontyping();
    setAt(place, card.path, next, question.label);
  }
</script>

<p class="text-lg leading-snug font-semibold">
  {say(question.ask)}{#if about}<span class="quiet font-normal"> ({about})</span>{/if}
</p>
{#if question.why}<p class="quiet text-sm"><Explained text={question.why} /></p>{/if}
{#if question.help}<p class="mt-1 text-sm"><Explained text={question.help} /></p>{/if}
<div class="mt-3">
  {#if buttons}
    <div class="flex flex-wrap gap-2" role="group" aria-label={say(question.ask)}>
      {#each buttons as [code, text] (code)}
        <button
          type="button"
          class="btn h-auto min-h-12 max-w-full py-2 whitespace-normal"
          class:btn-neutral={value === code}
          class:btn-outline={value !== code}
          aria-pressed={value === code}
          onclick={() => {
            set(value === code && canBeOpen ? 'unknown' : code);
            ondone();
          }}>{say(text)}</button
        >
      {/each}
    </div>
  {:else}
    <div class="max-w-80"><QuestionField {question} {value} label={question.label} onset={set} /></div>
  {/if}
</div>
