<script lang="ts">
  import type { LayerReport, LayerZone } from '../../api/types';
  import FigureButton from '../../parts/FigureButton.svelte';

  interface Props {
    zone: LayerZone;
    layer: LayerReport;
    /** What is bought for the job. */
    buyHref: string;
  }

  let { zone, layer, buyHref }: Props = $props();
  const used = $derived(layer.used);
  const share = $derived(Math.min(100, used?.share.value ?? 0));
</script>

<section>
  <h2>Used against planned</h2>
  {#if used}
    <div class="bar" class:over={used.share.value > 100} aria-hidden="true">
      <span style:inline-size="{share}%"></span>
    </div>
    <dl>
      <dt>{used.amount.label}</dt>
      <dd>
        <FigureButton figure={used.amount} /> of <FigureButton figure={layer.amount} />,
        <FigureButton figure={used.share} />
      </dd>
      {#if used.wasted}
        <dt>{used.wasted.label}</dt>
        <dd><FigureButton figure={used.wasted} /></dd>
      {/if}
      <dt>{used.covered.label}</dt>
      <dd><FigureButton figure={used.covered} /> of <FigureButton figure={zone.report.area} /></dd>
      <dt>{used.rate.label}</dt>
      <dd><FigureButton figure={used.rate} />, the sheet says {used.asked}</dd>
      {#if used.bare.value > 0}
        <dt>{used.bare.label}</dt>
        <dd>
          <FigureButton figure={used.bare} />, which takes <FigureButton figure={used.rest} />;
          <FigureButton figure={used.left} /> is left of the plan:
          <b>{used.reaches ? 'it will reach' : 'more than was planned'}</b>
        </dd>
      {/if}
    </dl>
    {#if used.bare.value > 0 && !used.reaches}
      <p>
        <a href={buyHref}>Whether what is on the site holds it</a>
      </p>
    {/if}
  {:else}
    <p>
      Planned <FigureButton figure={layer.amount} />, the sheet says {layer.asked}. Nothing was
      logged yet.
    </p>
  {/if}
</section>

<style>
  section {
    margin-block-start: 18px;
  }

  h2 {
    font-size: 20px;
    margin-block-end: 6px;
  }

  .bar {
    block-size: 14px;
    margin-block-end: 8px;
    border: 1px solid var(--line-strong);
    background: var(--field);
  }

  .bar span {
    display: block;
    block-size: 100%;
    background: var(--chalk);
  }

  .over span {
    background: var(--hold);
  }

  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 4px 16px;
  }

  dt,
  p {
    color: var(--ink-soft);
  }
</style>
