<script lang="ts">
  import type { Suggested, Replacing } from '../../api/types';

  interface Props {
    job: string;
    zone: string;
    choices: readonly Suggested[];
    replace: Replacing;
    /** Where the list is. */
    back: string;
  }

  let { job, zone, choices, replace, back }: Props = $props();
  const met = (c: Suggested) => c.reasons.filter((r) => r.stance === 'FOR');
  const unmet = (c: Suggested) => c.reasons.filter((r) => r.stance !== 'FOR');
</script>

<div class="sheet">
  <header>
    <h1>{zone} <small>{job}</small></h1>
    <a href={back}>Back to the list</a>
  </header>
  <div class="columns" style:--count={choices.length}>
    {#each choices as c (c.id)}
      <article>
        <p class="rung">{c.rung}</p>
        <h2>{c.title}</h2>
        <p class="look">{c.look}</p>
        <dl>
          <div>
            <dt>Not walked on for</dt>
            <dd class="big">
              {c.closed?.text ?? 'not said'}<small>of waiting, and the work</small>
            </dd>
          </div>
          <div>
            <dt>Due again after</dt>
            <dd class="big">{c.due}</dd>
          </div>
          <div>
            <dt>Money, beside the others</dt>
            <dd class="big">{c.money}</dd>
          </div>
          <div>
            <dt>As you need it</dt>
            <dd>
              {#each met(c) as r (r.rule)}<p class="yes">{r.words}</p>{/each}
              {#each unmet(c) as r, at (at)}<p class="no">{r.words}</p>{/each}
              {#if c.reasons.length === 0}nothing was said yet{/if}
            </dd>
          </div>
          <div>
            <dt>Hides</dt>
            <dd>{c.hides.join(', ') || 'nothing'}</dd>
          </div>
          <div>
            <dt>Never hides or mends</dt>
            <dd>{c.never.join(', ')}</dd>
          </div>
          <div>
            <dt>Looked after</dt>
            <dd>{c.care}</dd>
          </div>
          {#if c.settled.length > 0}
            <div>
              <dt>Agreed before we begin</dt>
              <dd>{c.settled.join('; ')}</dd>
            </div>
          {/if}
        </dl>
      </article>
    {/each}
  </div>
  <p class="replace"><b>Or taken up and laid new.</b> {replace.words}</p>
</div>

<style>
  .sheet {
    position: fixed;
    inset: 0;
    z-index: 5;
    display: grid;
    grid-template-rows: auto minmax(0, 1fr) auto;
    padding: 18px 28px 12px;
    overflow-y: auto;
    background: var(--ground);
  }

  header {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: baseline;
    gap: 4px 16px;
    padding-block-end: 10px;
    border-block-end: 3px solid var(--ink);
  }

  h1 {
    font-size: 28px;
  }

  h1 small {
    font: 400 16px var(--text);
    color: var(--ink-soft);
  }

  header a {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
  }

  .columns {
    display: grid;
    grid-template-columns: repeat(var(--count), minmax(0, 1fr));
  }

  article {
    padding: 14px 22px;
    border-inline-start: 1px solid var(--line-strong);
  }

  article:first-child {
    border: 0;
    padding-inline-start: 0;
  }

  .rung {
    color: var(--ink-soft);
    font-size: 15px;
  }

  h2 {
    font-size: 32px;
  }

  .look {
    font-size: 16px;
    margin-block: 6px 10px;
  }

  dl {
    display: grid;
    gap: 8px;
  }

  dt {
    font-size: 14px;
    color: var(--ink-soft);
  }

  .big {
    font: 600 28px/1.1 var(--figures);
  }

  .big small {
    margin-inline-start: 8px;
    font: 400 14px var(--text);
    color: var(--ink-soft);
  }

  .yes::before,
  .no::before {
    display: inline-block;
    inline-size: 22px;
    font: 600 18px var(--figures);
  }

  .yes::before {
    content: '+';
    color: var(--go);
  }

  .no::before {
    content: '–';
    color: var(--stop);
  }

  .replace {
    padding-block-start: 8px;
    border-block-start: 1px solid var(--line-strong);
    font-size: 15px;
  }

  @media (max-width: 759px) {
    .sheet {
      display: block;
      padding: 12px 16px;
    }

    .columns {
      grid-template-columns: minmax(0, 1fr);
    }

    article {
      padding-inline: 0;
      border-inline-start: 0;
      border-block-start: 3px solid var(--ink);
    }

    article:first-child {
      border: 0;
    }
  }
</style>
