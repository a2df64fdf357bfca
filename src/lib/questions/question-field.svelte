<script lang="ts">
  /** The field of any question, as its answer asks for: words to choose from, a number with its unit, a text, a day. */
  import { chosenValue, type FieldValue, type Question } from '$core/questions/question';
  import ChoiceField from '../fields/choice-field.svelte';
  import NumberField from '../fields/number-field.svelte';
  import TextField from '../fields/text-field.svelte';
  import { manner, money, say } from '../words/manner.svelte';

  interface Props {
    question: Question;
    value: FieldValue;
    onset: (value: FieldValue) => void;
    /** Of the field: small where it stands among others. */
    small?: boolean;
    /** What the field is called, where a card asks the question above it already. */
    label?: string;
  }

  let { question, value, onset, small = false, label = question.label }: Props = $props();
  const answer = $derived(question.answer);
  const unit = $derived(
    answer.kind === 'number' && answer.unit === 'money'
      ? money(0, 0).replace(/[\d.,\s]/g, '') || manner().currency
      : answer.kind === 'number'
        ? answer.unit
        : ''
  );
  const list = $derived(Array.isArray(value) ? (value as readonly string[]) : []);
</script>

{#if answer.kind === 'choice'}
  <ChoiceField
    label={say(label)}
    value={value === null ? '' : String(value)}
    {small}
    choices={answer.choices.map(([code, text]) => [code, say(text)] as const)}
    onset={(code) => onset(chosenValue(answer, code))}
  />
{:else if answer.kind === 'number'}
  <NumberField
    label={say(label)}
    value={typeof value === 'number' ? value : null}
    quantity={answer.quantity}
    {unit}
    least={answer.least}
    most={answer.most}
    digits={answer.digits}
    whole={answer.whole}
    optional={answer.optional}
    {onset}
  />
{:else if answer.kind === 'text'}
  <TextField
    label={say(label)}
    value={typeof value === 'string' ? value : ''}
    most={answer.most}
    placeholder={answer.placeholder}
    {small}
    {onset}
  />
{:else if answer.kind === 'day'}
  <label class="flex flex-col gap-1 text-sm"
    ><span>{say(label)}</span>
    <input
      type="date"
      class="input w-full"
      value={typeof value === 'string' ? value : ''}
      onchange={(event) => onset(event.currentTarget.value || null)}
    />
  </label>
{:else if answer.kind === 'yes-or-no'}
  <label class="flex min-h-10 items-center gap-2 text-sm">
    <input
      type="checkbox"
      class="checkbox"
      checked={value === true}
      onchange={(event) => onset(event.currentTarget.checked)}
    />
    {say(label)}
  </label>
{:else}
  <fieldset class="text-sm">
    <legend>{say(label)}</legend>
    <div class="mt-1 flex flex-wrap gap-x-4 gap-y-2">
      {#each answer.choices as [code, text] (code)}
        <label class="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            class="checkbox"
            checked={list.includes(code)}
            onchange={(event) =>
              onset(event.currentTarget.checked ? [...list, code] : list.filter((other) => other !== code))}
          />
          {say(text)}
        </label>
      {/each}
    </div>
  </fieldset>
{/if}
