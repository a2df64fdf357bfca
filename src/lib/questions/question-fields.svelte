<script lang="ts">
  /** The questions about one record, as fields side by side. */
  import type { FieldValue, Question } from '$core/questions/question';
  import QuestionField from './question-field.svelte';

  interface Props {
    questions: readonly Question[];
    /** What the record holds, by field. */
    record: object;
    onset: (question: Question, value: FieldValue) => void;
  }

  let { questions, record, onset }: Props = $props();
  const valueOf = (field: string) => (record as Readonly<Record<string, FieldValue>>)[field] ?? null;
</script>

{#each questions as question (question.field)}
  <QuestionField {question} value={valueOf(question.field)} onset={(value) => onset(question, value)} />
{/each}
