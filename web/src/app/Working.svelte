<script lang="ts">
  import Mark from '../parts/Mark.svelte';
  import SourceLine from '../parts/SourceLine.svelte';
  import type { Opened } from './job.svelte';

  interface Props {
    opened: Opened;
    onclose: () => void;
  }

  let { opened, onclose }: Props = $props();
  const figure = $derived(opened.figure);
  const finding = $derived(opened.finding);
</script>

<aside aria-label="The working">
  <header>
    <h2>The working</h2>
    <button type="button" onclick={onclose}>Put away <kbd aria-hidden="true">w</kbd></button>
  </header>
  {#if figure}
    <h3>{figure.label}{finding?.place ? `, ${finding.place}` : ''}</h3>
    <p class="answer">
      {figure.text}{#if figure.also}<small>{figure.also}</small>{/if}
    </p>
    <dl>
      {#each figure.steps ?? [] as step, i (i)}
        <div>
          <dt>{step.meaning}</dt>
          {#if step.formula === ''}
            <dd>
              {step.symbol} = {step.value}{#if step.also && step.also !== step.value}<small
                  >{step.also}</small
                >{/if}
            </dd>
          {:else}
            <dd class="formula">{step.symbol} = {step.formula}</dd>
            <dd class="numbers">= {step.numbers}</dd>
            <dd class="value">= {step.value}</dd>
          {/if}
        </div>
      {/each}
    </dl>
    {#if figure.source}<SourceLine source={figure.source} />{/if}
  {/if}
  {#if finding}
    <section>
      <Mark mark={finding.verdict} />
      <p><b>{finding.measured}</b>, needed {finding.needed}.</p>
      <p>{finding.because}</p>
      {#if finding.remedy}<p><b>Do:</b> {finding.remedy}</p>{/if}
      <SourceLine source={finding.source} />
    </section>
  {/if}
</aside>

<style>
  aside {
    padding: 18px 18px 28px;
    background: var(--paper);
    border-inline-start: 1px solid var(--line);
    overflow-wrap: anywhere;
  }

  header {
    display: flex;
    justify-content: space-between;
    align-items: center;
  }

  h2 {
    font-size: 22px;
  }

  header button {
    min-block-size: var(--tap);
    border: 0;
    background: none;
    color: var(--chalk);
    cursor: pointer;
  }

  kbd {
    font: 500 15px var(--figures);
    margin-inline-start: 4px;
  }

  h3 {
    font: 500 15px var(--text);
    color: var(--ink-soft);
  }

  .answer {
    font: 600 34px/1.15 var(--figures);
    border-block-end: 2px solid var(--ink);
    padding-block-end: 8px;
    margin-block-end: 10px;
  }

  small {
    font: 500 15px var(--figures);
    color: var(--ink-soft);
    margin-inline-start: 10px;
  }

  dl {
    display: grid;
    gap: 9px;
    margin-block-end: 12px;
  }

  dt {
    font-size: 13px;
    color: var(--ink-soft);
  }

  dd {
    font: 500 17px/1.3 var(--figures);
    font-variant-numeric: tabular-nums;
  }

  .formula {
    color: var(--ink-soft);
  }

  .value {
    font-weight: 600;
  }

  section {
    display: grid;
    gap: 6px;
    margin-block-start: 14px;
    padding-block-start: 14px;
    border-block-start: 1px solid var(--line);
  }

  @media (max-width: 759px) {
    aside {
      position: fixed;
      inset: auto 0 0;
      max-block-size: 74dvh;
      overflow: auto;
      border-block-start: 6px solid var(--chalk);
      box-shadow: 0 -6px 24px rgb(0 0 0 / 25%);
      z-index: 5;
    }
  }
</style>
