<script lang="ts">
  /** Everything that the sheet of a device says. */
  import type { DeviceFacts } from '$core/job/device-facts';
  import { DEVICE_QUESTIONS } from '$core/questions/device-questions';
  import { answerText, type FieldValue } from '$core/questions/question';
  import { getPlace } from '../state/context';
  import { day, money, say } from '../words/manner.svelte';

  interface Props {
    device: DeviceFacts;
  }

  let { device }: Props = $props();
  const place = getPlace();
  /** The name stands above the list; a note is read where there is one. */
  const LEFT_OUT = ['maker', 'model'];
  const rows = $derived([
    ['Terminals', device.marks.join(' ')] as const,
    ...Object.values(DEVICE_QUESTIONS)
      .filter(({ field }) => !LEFT_OUT.includes(field))
      .map((question) => {
        const value = device[question.field as keyof DeviceFacts] as FieldValue;
        return [
          question.label,
          answerText(question, value, place.job.units, { day, money }) || 'not said'
        ] as const;
      })
      .filter(([label, text]) => label !== DEVICE_QUESTIONS.note.label || text !== 'not said')
  ]);
</script>

<dl class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)] gap-x-4 gap-y-1">
  {#each rows as [name, text] (name)}<dt class="quiet">{say(name)}</dt>
    <dd>{say(text)}</dd>{/each}
</dl>
