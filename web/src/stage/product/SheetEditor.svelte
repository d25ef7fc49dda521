<script lang="ts">
  import { ApiProblem } from '../../api/call';
  import { addSheet, editSheet } from '../../api/client';
  import type { SheetFieldsView, SheetForm, SheetView, Units } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { FormState } from '../../parts/form.svelte';
  import { blankSheet, kindOf, lineToTimes, said, timesToLine } from './sheet';
  import SheetTraits from './SheetTraits.svelte';

  interface Props {
    fields: SheetFieldsView;
    form: SheetForm;
    /** The sheet on the shelf; left out for a new one. */
    stored?: SheetView;
    onsaved: (slug: string) => Promise<void>;
    /** Somebody else saved first: gets the sheet as it stands, so that saving again has seen it. */
    onstale?: () => Promise<void>;
  }

  let { fields, form, stored, onsaved, onstale }: Props = $props();

  // the editor is made anew for another sheet
  // svelte-ignore state_referenced_locally
  let draft = $state<SheetForm>({ ...blankSheet(), ...structuredClone(form) });
  // svelte-ignore state_referenced_locally
  let times = $state<Record<string, string>>(
    Object.fromEntries(Object.entries(form.clocks).map(([id, rows]) => [id, timesToLine(rows)])),
  );
  const sending = new FormState();

  const UNITS = [
    { id: 'US', label: 'US' },
    { id: 'METRIC', label: 'metric' },
  ];
  const PARTS = ['A', 'B'].map((id) => ({ id, label: id }));
  const units = $derived(draft.units as Units);
  // svelte-ignore state_referenced_locally
  let kind = $state(form.kind ?? kindOf(form));
  const material = $derived(fields.kinds.find((k) => k.id === kind));
  const broadcast = $derived(kind === 'BROADCAST');
  type Part = 'partsA' | 'partsB' | 'densityA' | 'densityB' | 'volumeSolids' | 'spread';

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const clocks = Object.fromEntries(
      Object.entries(times)
        .map(([id, line]) => [id, lineToTimes(line)] as const)
        .filter(([, rows]) => rows.length > 0),
    );
    const sent: SheetForm = {
      ...draft,
      clocks,
      kind,
      role: broadcast ? 'BROADCAST' : draft.role,
      limits: said(draft.limits),
      numbers: said(draft.numbers),
      handling: said(draft.handling),
    };
    let slug = '';
    const taken = await sending.send(sent, async (key) => {
      try {
        const sheet = await (stored
          ? editSheet(stored.slug, key, stored.digest, sent)
          : addSheet(key, sent));
        slug = sheet.slug;
      } catch (e) {
        // told only once the sheet is here as it is now, so that saving again has seen it
        if (e instanceof ApiProblem && e.status === 412) {
          await onstale?.();
        }
        throw e;
      }
    });
    if (taken) {
      await onsaved(slug);
    }
  }

  const clockFault = (id: string) =>
    sending.problem?.faults.find(
      (f) => f.field === `clocks.${id}` || f.field.startsWith(`clocks.${id}[`),
    );
</script>

<form onsubmit={save} novalidate>
  <h1>{stored ? stored.name : 'A new sheet'}</h1>
  <Trouble
    problem={sending.problem}
    shown={[
      'name',
      ...(material?.liquid ?? []).map((f) => f.id),
      ...(material?.numbers ?? []).map((f) => `numbers.${f.id}`),
      ...fields.handling.map((f) => `handling.${f.id}`),
      'broadcast',
      ...fields.limits.map((f) => `limits.${f.id}`),
      'mixing',
      'care',
      'note',
    ]}
  />
  <div class="grid">
    <TextEntry label="Name" fault={sending.fault('name')} bind:value={draft.name} />
    <ChoiceEntry
      label="Layer"
      choices={fields.roles}
      disabled={stored !== undefined}
      bind:value={draft.role}
    />
    <ChoiceEntry label="What it is" choices={fields.kinds} bind:value={kind} />
    <ChoiceEntry label="Numbers without a unit are" choices={UNITS} bind:value={draft.units} />
  </div>

  <h2>{broadcast ? 'What is thrown' : 'Mix and film'}</h2>
  <div class="grid">
    {#if broadcast}
      <FieldEntry
        field={fields.broadcast}
        {units}
        bind:value={() => draft.broadcast, (v) => (draft.broadcast = v)}
        fault={sending.fault('broadcast')}
      />
    {:else}
      {#each material?.liquid ?? [] as field (field.id)}
        <FieldEntry
          {field}
          {units}
          bind:value={() => draft[field.id as Part], (v) => (draft[field.id as Part] = v)}
          fault={sending.fault(field.id)}
        />
      {/each}
      {#if kind === 'TWO_PART'}
        <ChoiceEntry label="Into the bucket first" choices={PARTS} bind:value={draft.firstIn} />
      {/if}
    {/if}
    {#each material?.numbers ?? [] as field (field.id)}
      <FieldEntry
        {field}
        {units}
        bind:value={
          () => draft.numbers?.[field.id] ?? '',
          (v) => (draft.numbers = { ...draft.numbers, [field.id]: v })
        }
        fault={sending.fault(`numbers.${field.id}`)}
      />
    {/each}
  </div>
  {#if stored && stored.films.length > 0}
    <p class="films">
      {#each stored.films as film (film.label)}<span
          >{film.label} <b>{film.text}</b> {film.also}</span
        >{/each}
    </p>
  {/if}

  {#if !broadcast}
    <h2>Limits</h2>
    <div class="grid">
      {#each fields.limits as field (field.id)}
        <FieldEntry
          {field}
          {units}
          bind:value={() => draft.limits[field.id] ?? '', (v) => (draft.limits[field.id] = v)}
          fault={sending.fault(`limits.${field.id}`)}
        />
      {/each}
    </div>
    <h2>Times</h2>
    <p class="soft">Each at one or more temperatures: 50 °F: 75 min; 70 °F: 45 min</p>
    {#each fields.clocks as { id, label } (id)}
      <TextEntry
        {label}
        fault={clockFault(id)}
        bind:value={() => times[id] ?? '', (v) => (times[id] = v)}
      />
    {/each}
    <h2>Lasts</h2>
    <div class="grid">
      {#each fields.exposures as { id, label } (id)}
        <TextEntry
          {label}
          hint="years"
          fault={sending.fault(`reseal.${id}`)}
          bind:value={() => draft.reseal[id] ?? '', (v) => (draft.reseal[id] = v)}
        />
      {/each}
    </div>
  {/if}

  <SheetTraits {fields} {units} {sending} bind:draft />

  <h2>Sizes on sale</h2>
  {#each draft.kits as kit, i (i)}
    <div class="grid kit">
      <TextEntry label="Label" fault={sending.fault(`kits[${i}].label`)} bind:value={kit.label} />
      <TextEntry
        label="Holds"
        hint="what the label says"
        fault={sending.fault(`kits[${i}].size`)}
        bind:value={kit.size}
      />
      <TextEntry
        label="Price"
        fault={sending.fault(`kits[${i}].price`)}
        bind:value={kit.price}
        inputmode="decimal"
      />
      <Button kind="quiet" onclick={() => (draft.kits = draft.kits.filter((_, k) => k !== i))}
        >Take out</Button
      >
    </div>
  {/each}
  <Button onclick={() => (draft.kits = [...draft.kits, { label: '', size: '', price: '' }])}
    >Add a size</Button
  >

  <h2>In its own words</h2>
  <TextEntry
    label="How it is mixed"
    hint="in the sheet's words; empty for what holds for any such product"
    fault={sending.fault('mixing')}
    rows={2}
    bind:value={draft.mixing}
  />
  <TextEntry
    label="How the floor is looked after"
    hint="what cleans it, what must not go on it"
    fault={sending.fault('care')}
    rows={2}
    bind:value={draft.care}
  />
  <TextEntry label="Note" fault={sending.fault('note')} rows={2} bind:value={draft.note} />
  <Button kind="main" type="submit" disabled={sending.busy}
    >{stored ? 'Save sheet' : 'Put on the shelf'}</Button
  >
</form>

<style>
  h1 {
    font-size: 30px;
    margin-block-end: 12px;
  }

  h2 {
    font-size: 20px;
    margin-block: 18px 6px;
    padding-block-start: 10px;
    border-block-start: 1px solid var(--line);
  }

  .grid {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 2px 18px;
    align-items: start;
  }

  .kit {
    grid-template-columns: 1.5fr 1fr 1fr auto;
  }

  .kit > :global(button) {
    margin-block-start: 23px;
  }

  .films {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 26px;
    padding: 8px 12px;
    background: var(--chalk-wash);
  }

  .films b {
    font: 600 20px var(--figures);
  }

  .soft {
    color: var(--ink-soft);
    margin-block-end: 6px;
  }

  @media (max-width: 759px) {
    .grid,
    .kit {
      grid-template-columns: 1fr 1fr;
    }
  }
</style>
