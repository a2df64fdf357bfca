<script lang="ts">
  /** A verdict as a word and a shape. */
  import CircleCheck from '@lucide/svelte/icons/circle-check';
  import HardHat from '@lucide/svelte/icons/hard-hat';
  import OctagonX from '@lucide/svelte/icons/octagon-x';
  import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
  import { VERDICT_NAMES, type Verdict } from '$core/trade/vocabulary';

  interface Props {
    verdict: Verdict;
    size?: number;
    /** Words that suit the thing judged. */
    words?: Readonly<Record<Verdict, string>>;
  }

  let { verdict, size = 20, words = VERDICT_NAMES }: Props = $props();
  const shapes = { go: CircleCheck, care: TriangleAlert, pro: HardHat, no: OctagonX };
  const Shape = $derived(shapes[verdict]);
</script>

<span class="inline-flex items-center gap-1.5 font-semibold whitespace-nowrap" data-verdict={verdict}
  ><Shape {size} aria-hidden="true" />{words[verdict]}</span
>
