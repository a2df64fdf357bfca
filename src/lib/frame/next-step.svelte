<script lang="ts">
  /** The one next step, always in sight: what is most worth doing now, and the way there. */
  import ArrowRight from '@lucide/svelte/icons/arrow-right';
  import { nextStepText } from '$core/plan/next-step-words';
  import { page } from '$app/state';
  import { getPlace } from '../state/context';
  import { say } from '../words/manner.svelte';

  const place = getPlace();
  const step = $derived(place.next);
  const here = $derived(page.url.pathname.split('/')[4]);
  const there = $derived(here === step.station);
  /** Step by step, the page itself says it, larger. */
  const said = $derived(here === 'do' && step.what === 'do');
</script>

{#if !said}<a
    class="next no-print"
    class:stopped={step.what === 'stopped'}
    href="/job/{place.job.id}/{place.thermostat.id}/{step.station}"
    data-next={step.what}
  >
    <span class="head">{there ? 'Now, here' : 'Next'}</span>
    <span class="text">{say(nextStepText(step))}</span>
    {#if !there}<ArrowRight size={18} class="flex-none" aria-hidden="true" />{/if}
  </a>{/if}

<style>
  .next {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    min-width: 0;
    padding: 0.3rem 0.75rem;
    min-height: 2.5rem;
    background: var(--color-primary);
    color: var(--color-primary-content);
    border-radius: var(--radius-field);
  }

  .next.stopped {
    background: var(--color-base-content);
    color: var(--color-base-100);
  }

  .head {
    flex: none;
    font-size: 0.8125rem;
    opacity: 0.9;
  }

  .text {
    min-width: 0;
    flex: 1;
    font-weight: 650;
    line-height: 1.25;
    display: -webkit-box;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    line-clamp: 2;
    overflow: hidden;
  }

  @media (max-width: 899px) {
    .next {
      position: fixed;
      inset: auto 0 calc(3.6rem + env(safe-area-inset-bottom)) 0;
      z-index: 19;
      border-radius: 0;
    }
  }
</style>
