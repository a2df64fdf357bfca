<script lang="ts">
  /** A verdict as a word and a shape. */
  import CircleCheck from '@lucide/svelte/icons/circle-check';
  import CircleQuestionMark from '@lucide/svelte/icons/circle-question-mark';
  import HardHat from '@lucide/svelte/icons/hard-hat';
  import OctagonX from '@lucide/svelte/icons/octagon-x';
  import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
  import { VERDICT_NAMES, WAITS_NAME, type Verdict } from '$core/trade/vocabulary';

  interface Props {
    verdict: Verdict;
    size?: number;
    /** Words that suit the thing judged. */
    words?: Readonly<Record<Verdict, string>>;
    /** Nobody can judge it yet: the verdict holds until somebody has looked. */
    waits?: boolean;
  }

  let { verdict, size = 20, words = VERDICT_NAMES, waits = false }: Props = $props();
  const shapes = { go: CircleCheck, care: TriangleAlert, pro: HardHat, no: OctagonX };
  const Shape = $derived(waits ? CircleQuestionMark : shapes[verdict]);
</script>

<span class="inline-flex items-center gap-1.5 font-semibold whitespace-nowrap" data-verdict={verdict}
  ><Shape {size} aria-hidden="true" />{waits ? WAITS_NAME : words[verdict]}</span
>
