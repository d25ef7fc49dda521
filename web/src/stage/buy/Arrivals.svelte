<script lang="ts">
  import { noteBoxed, putInStore, strikeDelivery } from '../../api/client';
  import type { DeliveryCheck, JobHead, TakeOffView } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import Button from '../../parts/Button.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Mark from '../../parts/Mark.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { when } from '../../parts/time';
  import FindingRow from '../survey/FindingRow.svelte';
  import ArrivalForm from './ArrivalForm.svelte';
  import { Signing } from './signing.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    view: TakeOffView;
  }

  let { desk, job, view }: Props = $props();
  let noting = $state(false);
  const sending = new Signing();
  const check = $derived(view.takeOff.delivered);
  const unboxed = $derived([
    ...new Map(
      check.came
        .filter((c) => c.sound && c.delivery.colour && !c.delivery.boxed)
        .map((c) => [`${c.delivery.slug} ${c.delivery.colour.toLowerCase()}`, c.delivery]),
    ).values(),
  ]);

  type Came = DeliveryCheck['came'][number];
  const words = ({ delivery: d }: Came) =>
    [
      d.maker,
      d.colour,
      d.lot && `lot ${d.lot}`,
      d.bestBefore && `good until ${d.bestBefore}`,
      d.boxed && 'poured together',
    ]
      .filter(Boolean)
      .join(', ');

  const strike = (came: Came) =>
    void sending.sign(['strike', came.delivery.id], (key) =>
      desk.bought(
        strikeDelivery(job.id, came.delivery.id, key, sending.by || 'somebody'),
        'Struck',
      ),
    );

  const box = (of: { slug: string; colour: string }) =>
    void sending.sign(['box', of.slug, of.colour], (key) =>
      desk.bought(
        noteBoxed(job.id, key, {
          slug: of.slug,
          colour: of.colour,
          by: sending.by || 'somebody',
        }),
        'Poured together',
      ),
    );

  const store = (rest: TakeOffView['takeOff']['rest'][number]) =>
    void sending.sign(['store', rest.slug, rest.colour], async (key) => {
      await putInStore(key, {
        slug: rest.slug,
        amount: rest.amount.text,
        colour: rest.colour,
        maker: rest.maker,
        lot: rest.lots,
        from: job.facts.name,
        jobId: job.id,
        units: job.facts.units,
        by: sending.by || 'somebody',
      });
      await desk.load();
      desk.said = 'In the store';
    });
</script>

{#if check.together.length > 0}
  <ul>
    {#each check.together as finding, i (i)}
      <FindingRow {desk} {finding} timeZone={job.facts.timeZone} />
    {/each}
  </ul>
{/if}
{#each unboxed as of (of.slug + of.colour)}
  {#if check.together.some((f) => f.rule === 'delivery.boxed' && f.measured.includes(of.colour))}
    <Button disabled={sending.busy} onclick={() => box(of)}
      >All {of.colour} was poured together</Button
    >
  {/if}
{/each}
<Trouble problem={sending.problem} />

{#if noting}
  <ArrivalForm {desk} {job} {view} onclose={() => (noting = false)} />
{:else}
  <Button kind="main" onclick={() => (noting = true)}>Check what came</Button>
{/if}

<ol>
  {#each check.came as came (came.delivery.id)}
    <li>
      <div class="head">
        <Mark mark={came.sound ? 'GO' : 'STOP'} word={came.sound ? 'sound' : 'send back'} />
        <b>{came.delivery.count} × {came.delivery.pack}: {came.delivery.sheet}</b>
        <span>{words(came)}</span>
        <small
          >{came.delivery.by}, {when(
            new Date(came.delivery.at),
            job.facts.timeZone,
            appClock.now,
          )}</small
        >
        <Button kind="quiet" disabled={sending.busy} onclick={() => strike(came)}>Strike</Button>
      </div>
      {#if came.delivery.note}<p>{came.delivery.note}</p>{/if}
      {#if came.findings.length > 0}
        <ul>
          {#each came.findings as finding, i (i)}
            <FindingRow {desk} {finding} timeZone={job.facts.timeZone} />
          {/each}
        </ul>
      {/if}
    </li>
  {:else}
    <li class="empty">
      Nothing was noted yet. Maker, lot and date of every label, lids off, before it is signed for.
    </li>
  {/each}
</ol>

{#if view.takeOff.rest.length > 0}
  <h3>Stays over</h3>
  <ul>
    {#each view.takeOff.rest as rest (rest.slug + rest.colour)}
      <li class="rest">
        <FigureButton figure={rest.amount} />
        {rest.sheet}{rest.colour ? `, ${rest.colour}` : ''}{rest.lots ? `, lot ${rest.lots}` : ''}
        <Button kind="quiet" disabled={sending.busy} onclick={() => store(rest)}
          >To the store</Button
        >
      </li>
    {/each}
  </ul>
{/if}

<style>
  ol {
    margin-block-start: 10px;
  }

  ol > li {
    padding-block: 6px;
    border-block-start: 1px solid var(--line);
  }

  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 2px 12px;
  }

  .head small {
    margin-inline-start: auto;
  }

  small,
  .empty {
    color: var(--ink-soft);
  }

  h3 {
    font-size: 18px;
    margin-block: 14px 4px;
  }

  .rest {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 10px;
  }
</style>
