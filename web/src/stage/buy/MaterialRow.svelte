<script lang="ts">
  import { takeOutOfStore } from '../../api/client';
  import type { JobHead, TakeOffView } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { shelfHref } from '../../app/route.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import PackDrawing from '../../parts/PackDrawing.svelte';
  import Button from '../../parts/Button.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { money } from './money';
  import { Signing } from './signing.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    material: TakeOffView['takeOff']['bill']['materials'][number];
  }

  let { desk, job, material }: Props = $props();
  const sending = new Signing();

  const takeAlong = (id: string) =>
    void sending.sign(['along', id], async (key) => {
      await takeOutOfStore(id, key, sending.by || 'somebody', job.id);
      await desk.load();
      desk.said = 'Taken to the site';
    });

  const stored = $derived(material.store.reduce((sum, s) => sum + s.amount.value, 0));
  /** What the need is met by, as shares of it. */
  const parts = $derived(
    [
      { id: 'site', value: material.onSite.value },
      { id: 'coming', value: material.ordered.value },
      { id: 'store', value: stored },
      { id: 'buy', value: material.toBuy.value },
    ].map((p) => ({
      ...p,
      share: material.amount.value > 0 ? Math.min(1, p.value / material.amount.value) : 0,
    })),
  );
  /** It fills with what is there, what is on its way and what the store has. */
  const there = $derived(parts.filter((p) => p.id !== 'buy').reduce((sum, p) => sum + p.share, 0));
</script>

<article aria-label={material.sheet + (material.colour ? `, ${material.colour}` : '')}>
  <span class="pack-drawn"
    ><PackDrawing
      kind={material.ofLiquid ? 'can' : 'bag'}
      role={material.role}
      full={Math.min(1, there)}
    /></span
  >
  <div class="head">
    <h3>
      <a href={shelfHref(material.slug)}>{material.sheet}</a>{#if material.colour}, {material.colour}{/if}
    </h3>
    <p class="takes"><FigureButton figure={material.amount} size="big" /></p>
  </div>
  <div class="level" aria-hidden="true">
    {#each parts as part (part.id)}
      {#if part.share > 0.002}<span data-part={part.id} style:flex-grow={part.share}></span>{/if}
    {/each}
  </div>
  <ul>
    {#if material.onSite.value > 0}
      <li><i data-part="site"></i>on the site <FigureButton figure={material.onSite} /></li>
    {/if}
    {#if material.ordered.value > 0}
      <li><i data-part="coming"></i>on its way <FigureButton figure={material.ordered} /></li>
    {/if}
    {#each material.store as left (left.id)}
      <li>
        <i data-part="store"></i>from the store <FigureButton figure={left.amount} />
        <small>{[left.from, left.lot && `lot ${left.lot}`].filter(Boolean).join(', ')}</small>
        <Button kind="quiet" disabled={sending.busy} onclick={() => takeAlong(left.id)}
          >Taken to the site</Button
        >
      </li>
    {/each}
    <li>
      <i data-part="buy"></i>to buy <FigureButton figure={material.toBuy} />
    </li>
    {#each material.lines as line (line.pack + line.supplier)}
      <li class="pack">
        <b>{line.count} × {line.pack}</b>
        {money(line.count * line.eachCents)}
        {#if line.supplier}<small>{line.supplier}</small>{/if}
      </li>
    {/each}
    {#if material.leftover && material.lines.length > 0}
      <li>stays over <FigureButton figure={material.leftover} /></li>
    {/if}
    {#if material.unpriced && material.lines.length > 0}<li class="warns">no price noted</li>{/if}
    {#if material.lines.length === 0 && material.toBuy.value > 0}
      <li class="warns">its sheet lists no packs</li>
    {/if}
  </ul>
  <Trouble problem={sending.problem} />
  <p class="uses">
    {#each material.uses as use (use.zone + use.layer)}
      <span
        >{use.job ? `${use.job}, ` : ''}{use.name}, {use.title}
        <FigureButton figure={use.amount} /></span
      >
    {/each}
  </p>
  {#each material.passedOver as left (left.id)}
    <p class="passed">
      Not used: {left.amount}{left.lot ? `, lot ${left.lot}` : ''}{left.from
        ? `, ${left.from}`
        : ''}:
      {left.why}.
    </p>
  {/each}
</article>

<style>
  article {
    position: relative;
    padding-block: 10px 12px;
    padding-inline-start: 64px;
    border-block-start: 1px solid var(--line);
  }

  .pack-drawn {
    position: absolute;
    inset-block-start: 12px;
    inset-inline-start: 4px;
  }

  .head {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    gap: 16px;
  }

  h3 {
    font: 600 17px/1.3 var(--text);
  }

  /* a dipstick laid down: how much of the need is there, and by what */
  .level {
    display: flex;
    block-size: 14px;
    margin-block: 4px 6px;
    border: 1px solid var(--line-strong);
    border-radius: 7px;
    overflow: hidden;
    background: var(--paper);
  }

  .level span {
    flex-basis: 0;
  }

  [data-part='site'] {
    background: var(--body);
  }

  [data-part='coming'] {
    background: repeating-linear-gradient(-45deg, var(--body) 0 4px, var(--concrete-light) 4px 8px);
  }

  [data-part='store'] {
    background: var(--stone-c);
  }

  [data-part='buy'] {
    background: var(--field);
  }

  i {
    display: inline-block;
    inline-size: 12px;
    block-size: 12px;
    border: 1px solid var(--line-strong);
  }

  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 18px;
  }

  li {
    display: flex;
    align-items: baseline;
    gap: 6px;
  }

  .pack b {
    font: 600 18px var(--figures);
  }

  .uses {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 18px;
    padding-block-start: 4px;
    font-size: 14px;
    color: var(--ink-soft);
  }

  small,
  .passed {
    font-size: 14px;
    color: var(--ink-soft);
  }

  .warns {
    color: var(--hold);
    font-weight: 600;
  }
</style>
