<script lang="ts">
  import type { JobView, MethodView, Units, ZoneView } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import { known } from '../../app/reference.svelte';
  import Button from '../../parts/Button.svelte';
  import Dialog from '../../parts/Dialog.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { fromWall, toWall } from '../../parts/time';

  interface Props {
    desk: JobDesk;
    job: JobView;
    zone: ZoneView;
    onclose: () => void;
  }

  let { desk, job, zone, onclose }: Props = $props();

  /** What does not change from one place to the next is remembered: the kit's area, the slab, which faces dry. */
  const CONSTANT = ['dishArea', 'depth', 'thickness', 'drying', 'wait', 'hours'];

  const timeZone = $derived(job.facts.timeZone);
  const units = $derived(job.facts.units as Units);
  const methods = $derived(known.view?.methods ?? []);
  const tallies = $derived(zone.report.survey.tallies);

  let methodId = $state('');
  let place = $state('');
  // a reading is taken when the form is opened, unless said otherwise
  // svelte-ignore state_referenced_locally
  let wall = $state(toWall(appClock.now, timeZone));
  let values = $state<Record<string, string>>({});
  const sending = new Logging();
  let saved = $state('');

  const marked = $derived(zone.report.places.map((p) => p.name));
  const method = $derived(methods.find((m) => m.id === methodId));
  const shown = $derived([
    'place',
    'by',
    'at',
    ...(method?.fields.map((f) => `values.${f.id}`) ?? []),
  ]);
  const tally = (m: MethodView) => tallies.find((t) => t.method === m.id);
  const missing = (m: MethodView) => {
    const t = tally(m);
    return t?.required ? Math.max(0, t.needed.value - t.taken) : 0;
  };
  /** What is missing stands first; the rest as an installer looks for it. */
  const asked = $derived(methods.filter((m) => missing(m) > 0));
  const groups = $derived(
    (known.view?.testGroups ?? [])
      .map((g) => ({
        ...g,
        methods: methods.filter((m) => m.group === g.id && missing(m) === 0),
      }))
      .filter((g) => g.methods.length > 0),
  );

  function pick(m: MethodView) {
    methodId = m.id;
    sending.problem = null;
    const before = zone.report.survey.entries.filter((e) => e.reading.method === m.id).at(-1);
    values = Object.fromEntries(
      m.fields.map((f) => [
        f.id,
        CONSTANT.includes(f.id) ? (before?.reading.values[f.id]?.typed ?? '') : '',
      ]),
    );
    const taken = new Set(
      zone.report.survey.entries
        .filter((e) => e.reading.method === m.id)
        .map((e) => e.reading.place),
    );
    const names = [...marked, ...Array.from('ABCDEFGHIJKLMNOPQRSTUVWXYZ')];
    place = names.find((name) => !taken.has(name)) ?? '';
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    if (!method) {
      return;
    }
    const more = {
      place: method.wholeFloor ? '' : place,
      at: fromWall(wall, timeZone)?.toISOString() ?? wall,
      values: { ...values },
    };
    const what = `${method.title}${method.wholeFloor ? '' : ` at ${place}`}`;
    if (await sending.write(desk, zone.id, 'READING', method.id, more)) {
      saved = what;
      methodId = '';
    }
  }
</script>

{#snippet choice(m: MethodView)}
  {@const left = missing(m)}
  <li>
    <button type="button" onclick={() => pick(m)}>
      <b>{m.title}</b>
      <span
        >{left > 0
          ? `${left} more needed`
          : tally(m)?.required
            ? 'enough taken'
            : 'if wanted'}</span
      >
    </button>
  </li>
{/snippet}

<Dialog title={method ? method.title : 'New reading'} {onclose}>
  {#if !method}
    {#if saved}<p class="saved" role="status">{saved} saved. What next?</p>{/if}
    {#if asked.length > 0}
      <h3>Still needed</h3>
      <ul>
        {#each asked as m (m.id)}{@render choice(m)}{/each}
      </ul>
    {/if}
    {#each groups as group (group.id)}
      <h3>{group.label}</h3>
      <ul>
        {#each group.methods as m (m.id)}{@render choice(m)}{/each}
      </ul>
    {/each}
  {:else}
    <p class="how">{method.how}</p>
    <form onsubmit={save} novalidate>
      <Trouble problem={sending.problem} {shown} />
      {#if !method.wholeFloor}
        {#if marked.length > 0}
          <div class="places" role="group" aria-label="Marked places">
            {#each marked as name (name)}
              <button type="button" aria-pressed={place === name} onclick={() => (place = name)}
                >{name}</button
              >
            {/each}
          </div>
        {/if}
        <TextEntry
          label="Place"
          hint="a letter, or words: Roller door"
          fault={sending.fault('place')}
          bind:value={place}
        />
      {/if}
      <div class="grid">
        {#each method.fields as field (field.id)}
          <FieldEntry
            {field}
            {units}
            bind:value={() => values[field.id] ?? '', (v) => (values[field.id] = v)}
            fault={sending.fault(`values.${field.id}`)}
          />
        {/each}
        <TextEntry
          label="When"
          hint="where the floor is"
          fault={sending.fault('at')}
          type="datetime-local"
          bind:value={wall}
        />
        <TextEntry
          label="By"
          fault={sending.fault('by')}
          bind:value={sending.by}
          autocomplete="name"
        />
      </div>
      <div class="buttons">
        <Button kind="main" type="submit" disabled={sending.busy}>Save reading</Button>
        <Button onclick={() => (methodId = '')}>Other method</Button>
      </div>
      <p class="source">{method.source.sentence}</p>
    </form>
  {/if}
</Dialog>

<style>
  h3 {
    margin-block: 14px 4px;
    font-size: 15px;
    color: var(--ink-soft);
  }

  li button {
    display: flex;
    justify-content: space-between;
    align-items: center;
    inline-size: 100%;
    min-block-size: 52px;
    padding: 0 8px;
    border: 0;
    border-block-start: 1px solid var(--line);
    background: none;
    cursor: pointer;
    text-align: start;
  }

  li button:hover {
    background: var(--chalk-wash);
  }

  li span,
  .source {
    color: var(--ink-soft);
    font-size: 14px;
  }

  .how {
    margin-block-end: 12px;
    max-inline-size: 54ch;
  }

  .places {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-block-end: 10px;
  }

  .places button {
    min-inline-size: var(--tap);
    min-block-size: var(--tap);
    border: 1px solid var(--chalk);
    background: none;
    font: 600 18px var(--figures);
    cursor: pointer;
  }

  .places button[aria-pressed='true'] {
    background: var(--chalk);
    color: var(--paper);
  }

  .saved {
    padding: 8px 12px;
    background: var(--go-wash);
    color: var(--go);
    font-weight: 600;
    margin-block-end: 8px;
  }

  .grid {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px 16px;
  }

  .buttons {
    display: flex;
    gap: 12px;
    margin-block: 8px 12px;
  }

  @media (max-width: 700px) {
    .grid {
      grid-template-columns: 1fr;
    }
  }
</style>
