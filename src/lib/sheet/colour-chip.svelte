<script lang="ts">
  /** Insulation colour as a swatch with its code, so that it reads without colour. */
  import { COLOURS, type ColourCode } from '$core/trade/colours';

  interface Props {
    code: ColourCode | null;
    stripe?: ColourCode | null;
  }

  let { code, stripe = null }: Props = $props();
</script>

<span class="chip">
  <span
    class="swatch"
    class:none={code === null}
    style:--hue={code ? COLOURS[code].hex : 'transparent'}
    style:--stripe={stripe ? COLOURS[stripe].hex : 'transparent'}
    class:striped={stripe !== null}
  ></span>
  <span class="code"
    >{code ?? '??'}{#if stripe}<span class="quiet">/{stripe}</span>{/if}</span
  >
</span>

<style>
  .chip {
    display: inline-flex;
    align-items: center;
    gap: 0.375rem;
    font-weight: 600;
    letter-spacing: 0.02em;
    padding: 0.1rem 0.45rem 0.1rem 0.3rem;
    border: 1px solid color-mix(in oklab, var(--color-base-content) 35%, transparent);
    border-radius: 999px;
    background: var(--color-base-100);
    color: var(--color-base-content);
  }

  .swatch {
    width: 1rem;
    height: 1rem;
    border-radius: 50%;
    background: var(--hue);
    border: 1.5px solid color-mix(in oklab, var(--color-base-content) 70%, transparent);
    flex: none;
  }

  .swatch.none {
    border-style: dashed;
  }

  .swatch.striped {
    background: linear-gradient(90deg, var(--hue) 36%, var(--stripe) 36% 64%, var(--hue) 64%);
  }
</style>
