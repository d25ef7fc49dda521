<script lang="ts">
  import type { PlaceForm, RoomForm, RoomPlan } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import Fold from '../../parts/Fold.svelte';
  import type { FeatureField, FeatureKind } from './features';
  import { freeId, type PlanDesk } from './plan.svelte';

  interface Props {
    desk: PlanDesk;
    room: RoomForm;
    plan: RoomPlan | undefined;
    kind: FeatureKind;
  }

  let { desk, room, plan, kind }: Props = $props();

  type Entry = Record<string, unknown> & { id: string };

  // one list of the form, seen as its descriptor describes it
  const entries = $derived(room[kind.list] as unknown as Entry[]);

  const get = (entry: Entry, path: string): unknown =>
    path
      .split('.')
      .reduce<unknown>((o, key) => (o as Record<string, unknown> | undefined)?.[key], entry) ?? '';

  function set(entry: Entry, path: string, value: unknown, done: boolean) {
    const keys = path.split('.');
    const last = keys.pop() ?? '';
    const owner = keys.reduce<Record<string, unknown>>(
      (o, key) => (o[key] ??= {}) as Record<string, unknown>,
      entry,
    );
    owner[last] = value;
    desk.typing();
    if (done) {
      save(entry);
    }
  }

  /** Only once every field says something: a half-keyed column is not a fault yet. */
  function save(entry: Entry) {
    const said = (path: string) => {
      const value = get(entry, path);
      return Array.isArray(value) ? value.length > 0 : value !== '';
    };
    const whole = kind.fields.every(
      (f) => f.optional || said(f.path) || (f.unless && said(f.unless)),
    );
    if (whole) {
      void desk.save();
    }
  }

  const places = (entry: Entry, path: string) =>
    ((get(entry, path) || []) as PlaceForm[]).map((p) => `${p.along}, ${p.off}`).join('; ');
  const toPlaces = (line: string) =>
    line
      .split(';')
      .filter((p) => p.trim() !== '')
      .map((p) => {
        const [along = '', off = ''] = p.split(',').map((t) => t.trim());
        return { along, off };
      });

  function add() {
    const list = room[kind.list] as unknown as Entry[];
    list.push({ id: freeId(`${kind.list}-`, entries), ...kind.fresh(room, desk.units) });
  }

  function takeOut(entry: Entry) {
    const list = room[kind.list] as unknown as Entry[];
    list.splice(list.indexOf(entry), 1);
    desk.typing();
    void desk.save();
  }

  const fault = (i: number, field: FeatureField) =>
    desk.fault(room, `${kind.list}[${i}].${field.path}`);
  const options = (field: FeatureField) =>
    field.kind === 'choice'
      ? (field.choices ?? [])
      : room.runs.map((run, i) => {
          const name = plan?.walls[i]?.name ?? String(i + 1);
          return {
            id: run.id,
            label: field.kind === 'corner' ? (name.split('–')[0] ?? name) : name,
          };
        });
</script>

<Fold title={kind.title} count={entries.length} about={kind.about}>
  {#each entries as entry, i (entry.id)}
    <fieldset>
      <legend>{kind.add} {i + 1}</legend>
      {#each kind.fields as field (field.path)}
        {@const wrong = fault(i, field)}
        {#if field.kind === 'tick'}
          <label class="tick"
            ><input
              type="checkbox"
              checked={get(entry, field.path) === true}
              onchange={(e) => set(entry, field.path, e.currentTarget.checked, true)}
            />
            {field.label}</label
          >
        {:else}
          <label>
            <span>{field.label}</span>
            {#if field.kind === 'wall' || field.kind === 'corner' || field.kind === 'choice'}
              <select
                value={get(entry, field.path)}
                onchange={(e) => set(entry, field.path, e.currentTarget.value, true)}
              >
                {#each options(field) as option (option.id)}<option value={option.id}
                    >{option.label}</option
                  >{/each}
              </select>
            {:else if field.kind === 'line'}
              <input
                value={places(entry, field.path)}
                placeholder={field.hint}
                aria-invalid={wrong !== undefined}
                onchange={(e) => set(entry, field.path, toPlaces(e.currentTarget.value), true)}
              />
            {:else if field.kind === 'number'}
              <input
                type="number"
                min="1"
                value={get(entry, field.path)}
                aria-invalid={wrong !== undefined}
                onchange={(e) => set(entry, field.path, Number(e.currentTarget.value), true)}
              />
            {:else}
              <input
                value={get(entry, field.path)}
                placeholder={field.hint}
                aria-invalid={wrong !== undefined}
                oninput={(e) => set(entry, field.path, e.currentTarget.value, false)}
                onchange={() => save(entry)}
              />
            {/if}
          </label>
          {#if wrong}<em role="status">{field.label}: accepted is {wrong.accepted}.</em>{/if}
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
