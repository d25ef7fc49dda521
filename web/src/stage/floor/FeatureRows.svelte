<script lang="ts">
  import type { Fault } from '../../api/call';
  import type { FeatureView, PlaceForm, RoomField, RoomForm, RoomPlan } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import Fold from '../../parts/Fold.svelte';
  import { type Entry, entriesOf, fresh, isWhole, placesOf, placesText } from './features';
  import { freeId, type PlanDesk } from './plan.svelte';

  interface Props {
    desk: PlanDesk;
    room: RoomForm;
    plan: RoomPlan | undefined;
    kind: FeatureView;
  }

  let { desk, room, plan, kind }: Props = $props();

  const entries = $derived(entriesOf(room, kind));

  function set(entry: Entry, id: string, value: unknown, done: boolean) {
    entry[id] = value;
    desk.typing();
    if (done) {
      save(entry);
    }
  }

  function setPart(entry: Entry, id: string, part: keyof PlaceForm, value: string) {
    const place = (entry[id] ?? { along: '', off: '' }) as PlaceForm;
    set(entry, id, { ...place, [part]: value }, false);
  }

  function save(entry: Entry) {
    if (isWhole(kind, entry)) {
      void desk.save();
    }
  }

  function add() {
    entriesOf(room, kind).push({
      id: freeId(`${kind.list}-`, entries),
      ...fresh(kind, room, desk.units),
    });
  }

  function takeOut(entry: Entry) {
    const list = entriesOf(room, kind);
    list.splice(list.indexOf(entry), 1);
    desk.typing();
    void desk.save();
  }

  const fault = (i: number, path: string) => desk.fault(room, `${kind.list}[${i}].${path}`);
  const options = (field: RoomField) =>
    field.kind === 'CHOICE'
      ? field.choices
      : room.runs.map((run, i) => {
          const name = plan?.walls[i]?.name ?? String(i + 1);
          return {
            id: run.id,
            label: field.kind === 'CORNER' ? (name.split('–')[0] ?? name) : name,
          };
        });
  const part = (entry: Entry, id: string, which: keyof PlaceForm): string =>
    (entry[id] as PlaceForm | undefined)?.[which] ?? '';
  const PARTS = [
    { id: 'along', label: 'Along A–B' },
    { id: 'off', label: 'Off it' },
  ] as const;
</script>

{#snippet told(label: string, wrong: Fault | undefined)}
  {#if wrong}<em role="status">{label}: accepted is {wrong.accepted}.</em>{/if}
{/snippet}

<Fold title={kind.title} count={entries.length} about={kind.about}>
  {#each entries as entry, i (entry.id)}
    <fieldset>
      <legend>{kind.add} {i + 1}</legend>
      {#each kind.fields as field (field.id)}
        {#if field.kind === 'TICK'}
          <label class="tick"
            ><input
              type="checkbox"
              checked={entry[field.id] === true}
              onchange={(e) => set(entry, field.id, e.currentTarget.checked, true)}
            />
            {field.label}</label
          >
        {:else if field.kind === 'PLACE'}
          {#each PARTS as p (p.id)}
            {@const wrong = fault(i, `${field.id}.${p.id}`)}
            <label>
              <span>{field.label}{p.label}</span>
              <input
                value={part(entry, field.id, p.id)}
                aria-invalid={wrong !== undefined}
                oninput={(e) => setPart(entry, field.id, p.id, e.currentTarget.value)}
                onchange={() => save(entry)}
              />
            </label>
            {@render told(field.label + p.label, wrong)}
          {/each}
        {:else}
          {@const wrong = fault(i, field.id)}
          <label>
            <span>{field.label}</span>
            {#if field.kind === 'WALL' || field.kind === 'CORNER' || field.kind === 'CHOICE'}
              <select
                value={entry[field.id]}
                onchange={(e) => set(entry, field.id, e.currentTarget.value, true)}
              >
                {#each options(field) as option (option.id)}<option value={option.id}
                    >{option.label}</option
                  >{/each}
              </select>
            {:else if field.kind === 'PLACES'}
              <input
                value={placesText(entry[field.id])}
                placeholder={field.hint}
                aria-invalid={wrong !== undefined}
                onchange={(e) => set(entry, field.id, placesOf(e.currentTarget.value), true)}
              />
            {:else if field.kind === 'NUMBER'}
              <input
                type="number"
                min={field.least}
                max={field.most}
                value={entry[field.id]}
                aria-invalid={wrong !== undefined}
                onchange={(e) => set(entry, field.id, Number(e.currentTarget.value), true)}
              />
            {:else}
              <input
                value={entry[field.id] ?? ''}
                placeholder={field.hint}
                aria-invalid={wrong !== undefined}
                oninput={(e) => set(entry, field.id, e.currentTarget.value, false)}
                onchange={() => save(entry)}
              />
            {/if}
          </label>
          {@render told(field.label, wrong)}
        {/if}
      {/each}
      <Button kind="quiet" onclick={() => takeOut(entry)}>Take out</Button>
    </fieldset>
  {/each}
  <Button onclick={add}>Add: {kind.add.toLowerCase()}</Button>
</Fold>

<style>
  fieldset {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
    gap: 6px 12px;
    align-items: end;
    padding: 8px 0 12px;
    margin-block-end: 4px;
  }

  legend {
    font-weight: 600;
    padding: 0;
  }

  label {
    display: grid;
    gap: 2px;
    font-size: 14px;
    min-inline-size: 0;
  }

  .tick {
    display: flex;
    align-items: center;
    gap: 8px;
    min-block-size: var(--tap);
  }

  label input:not([type='checkbox']),
  select {
    inline-size: 100%;
    font-size: 16px;
  }

  em {
    grid-column: 1 / -1;
    font-style: normal;
    font-size: 13px;
    font-weight: 500;
    color: var(--stop);
  }
</style>
