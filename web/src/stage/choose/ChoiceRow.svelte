<script lang="ts">
  import type { Stratum, Suggested } from '../../api/types';
  import CoreDrawing from '../../core-sample/CoreDrawing.svelte';
  import Button from '../../parts/Button.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Fold from '../../parts/Fold.svelte';
  import Mark from '../../parts/Mark.svelte';
  import { drilled } from '../system/gallery';

  interface Props {
    choice: Suggested;
    place: number;
    /** What it would lie on. */
    made: Stratum['made'];
    /** The floor says the same of the one above it. */
    same: boolean;
    /** How many needs count. */
    asked: number;
    chosen: boolean;
    /** Whether it is among those that are put side by side; {@code full} where no more fit. */
    picked: boolean;
    full: boolean;
    busy: boolean;
    onpick: () => void;
    onchoose: () => void;
  }

  let { choice, place, made, same, asked, chosen, picked, full, busy, onpick, onchoose }: Props =
    $props();
  const core = $derived(
    drilled(
      made,
      choice.layers.map((role, i) => ({ id: `${i}`, title: '', role })),
    ),
  );
  const speaks = $derived(choice.reasons.filter((r) => r.stance === 'FOR'));
  const against = $derived(choice.reasons.filter((r) => r.stance === 'AGAINST'));
</script>

<li>
  <span class="place" aria-hidden="true">
    {place}
    <CoreDrawing
      strata={core}
      name={choice.id}
      width={46}
      height={88 + 14 * choice.layers.length}
    />
  </span>
  <div class="what">
    <h3>{choice.title}</h3>
    <p class="soft">{choice.rung}. {choice.note}</p>
    <p class="floor">
      <Mark mark={choice.verdict} /> <span>{same ? 'as above' : choice.summary}</span>
    </p>
  </div>
  <dl>
    <div>
      <dt>Needs met</dt>
      <dd>{asked === 0 ? 'none said' : `${asked - choice.unmet} of ${asked}`}</dd>
    </div>
    <div>
      <dt>Closed</dt>
      <dd>
        {#if choice.closed}<FigureButton figure={choice.closed} />{:else}not said{/if}
      </dd>
    </div>
    <div>
      <dt>Due again</dt>
      <dd>{choice.due}</dd>
    </div>
    <div>
      <dt>Money</dt>
      <dd>{choice.money}</dd>
    </div>
  </dl>
  <div class="acts">
    {#if chosen}<b>chosen</b>{:else}
      <Button disabled={busy} onclick={onchoose}
        >Choose<span class="unseen"> {choice.title}</span></Button
      >{/if}
    <label>
      <input type="checkbox" checked={picked} disabled={full && !picked} onchange={onpick} />Side by
      side<span class="unseen">: {choice.title}</span>
    </label>
  </div>
  <div class="reasons">
    {#if against.length > 0}
      <ul class="against">
        {#each against as r (r.rule)}<li>{r.words}</li>{/each}
      </ul>
    {/if}
    {#if speaks.length > 0}
      <ul class="for">
        {#each speaks as r (r.rule)}<li>{r.words}</li>{/each}
      </ul>
    {/if}
    <Fold title="More of {choice.title.toLowerCase()}">
      <dl class="more">
        <div>
          <dt>Never hides</dt>
          <dd>{choice.never.join(', ')}</dd>
        </div>
        <div>
          <dt>Looks</dt>
          <dd>{choice.look}</dd>
        </div>
        {#if choice.first.length > 0}
          <div>
            <dt>First</dt>
            <dd>
              <ol>
                {#each choice.first as step (step)}<li>{step}</li>{/each}
              </ol>
            </dd>
          </div>
        {/if}
        {#if choice.settled.length > 0}
          <div>
            <dt>Settled before</dt>
            <dd>{choice.settled.join('; ')}</dd>
          </div>
        {/if}
        <div>
          <dt>Who says so</dt>
          <dd>
            {#each [...against, ...speaks] as r (r.rule)}<span>{r.source.sentence}</span>{/each}
          </dd>
        </div>
      </dl>
    </Fold>
  </div>
</li>

<style>
  li {
    list-style: none;
  }

  li:has(> .place) {
    display: grid;
    grid-template-columns: 52px minmax(0, 3fr) minmax(0, 2fr) 120px;
    gap: 6px 16px;
    padding-block: 12px 4px;
    border-block-start: 1px solid var(--line-strong);
  }

  .place {
    display: grid;
    gap: 8px;
    align-content: start;
    grid-row: span 2;
    font: 600 30px/1 var(--figures);
    color: var(--chalk);
  }

  h3 {
    font: 600 18px/1.2 var(--text);
  }

  .soft {
    color: var(--ink-soft);
    font-size: 14px;
  }

  .floor {
    display: grid;
    grid-template-columns: 74px minmax(0, 1fr);
    gap: 8px;
    align-items: baseline;
    margin-block-start: 4px;
    font-size: 14px;
  }

  dl {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 4px 14px;
    align-content: start;
  }

  dt {
    font-size: 13px;
    color: var(--ink-soft);
  }

  dd {
    font: 600 18px/1.2 var(--figures);
  }

  .acts {
    display: grid;
    gap: 6px;
    justify-items: start;
    align-content: start;
  }

  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-block-size: var(--tap);
    font-size: 14px;
    cursor: pointer;
  }

  input {
    inline-size: 20px;
    block-size: 20px;
  }

  .reasons {
    grid-column: 2 / -1;
  }

  .reasons ul li {
    padding-inline-start: 24px;
    text-indent: -24px;
  }

  .reasons ul li::before {
    display: inline-block;
    inline-size: 24px;
    text-indent: 0;
    font: 600 16px var(--figures);
  }

  .against li::before {
    content: '–';
    color: var(--stop);
  }

  .for li::before {
    content: '+';
    color: var(--go);
  }

  .more {
    grid-template-columns: minmax(0, 1fr);
  }

  .more > div {
    display: grid;
    grid-template-columns: 120px minmax(0, 1fr);
    gap: 8px;
  }

  .more dd {
    font: 400 15px/1.4 var(--text);
  }

  .more dd span {
    display: block;
    font-size: 13px;
    color: var(--ink-soft);
  }

  .more ol {
    display: grid;
    gap: 2px;
  }

  @media (max-width: 759px) {
    li:has(> .place) {
      grid-template-columns: 52px minmax(0, 1fr);
    }

    dl,
    .acts,
    .reasons {
      grid-column: 1 / -1;
    }

    .acts {
      grid-template-columns: auto auto;
      align-items: center;
    }

    .more > div {
      grid-template-columns: minmax(0, 1fr);
      gap: 0;
    }
  }
</style>
