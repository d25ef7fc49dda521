<script lang="ts">
  import { putSystem } from '../../api/client';
  import type { SheetView, SystemFieldsView, SystemForm } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import Fold from '../../parts/Fold.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { FormState } from '../../parts/form.svelte';
  import LayerFields from './LayerFields.svelte';
  import Ticks from './Ticks.svelte';

  interface Props {
    form: SystemForm;
    /** The one that is edited; 0 of one that is being made. */
    version: number;
    fields: SystemFieldsView;
    sheets: readonly SheetView[];
    onsaved: (id: string) => Promise<void>;
  }

  let { form, version, fields, sheets, onsaved }: Props = $props();

  // a draft begins with the system as it stands
  // svelte-ignore state_referenced_locally
  const draft = $state(structuredClone($state.snapshot(form)));
  const sending = new FormState();
  const MONEY = ['the least', 'some', 'more', 'the most'].map((label, i) => ({
    id: String(i + 1),
    label,
  }));

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const now: SystemForm = $state.snapshot(draft);
    if (await sending.send([now, version], (key) => putSystem(key, version, now))) {
      await onsaved(now.id);
    }
  }

  function move(at: number, by: number) {
    const [layer] = draft.layers.splice(at, 1);
    if (layer) {
      draft.layers.splice(at + by, 0, layer);
    }
  }

  function add() {
    const ids = new Set(draft.layers.map((l) => l.id));
    let n = draft.layers.length + 1;
    while (ids.has(`layer-${n}`)) {
      n++;
    }
    draft.layers.push({
      id: `layer-${n}`,
      title: 'Another coat',
      role: 'SEALER',
      sheet: draft.layers.at(-1)?.sheet ?? '',
    });
  }
</script>

<form onsubmit={save} novalidate>
  <h1>{version === 0 ? 'A system of your own' : draft.title}</h1>
  {#if version > 0}
    <p>
      Version {version}. A floor that was begun with it is laid by it to its end; what is chosen
      later takes the next.
    </p>
  {/if}
  <Trouble
    problem={sending.problem}
    shown={['id', 'title', 'note', 'on', 'uses', 'hides', 'never', 'look', 'asks', 'care']}
  />
  <div class="grid">
    <TextEntry label="Called" fault={sending.fault('title')} bind:value={draft.title} />
    {#if version === 0}
      <TextEntry
        label="Its word in files"
        hint="small letters, figures and hyphens"
        fault={sending.fault('id')}
        bind:value={draft.id}
      />
    {/if}
  </div>
  <TextEntry label="In a sentence" fault={sending.fault('note')} bind:value={draft.note} />

  <h2>Layers, the top one first</h2>
  <ol>
    {#each draft.layers.map((layer, at) => ({ layer, at })).reverse() as { layer, at } (layer.id)}
      <li>
        <LayerFields
          bind:layer={() => layer, (next) => (draft.layers[at] = next)}
          path="layers[{at}]"
          {fields}
          {sheets}
          faults={sending.problem?.faults ?? []}
        />
        <div class="acts">
          <Button kind="quiet" disabled={at === draft.layers.length - 1} onclick={() => move(at, 1)}
            >Up</Button
          >
          <Button kind="quiet" disabled={at === 0} onclick={() => move(at, -1)}>Down</Button>
          <Button
            kind="quiet"
            disabled={draft.layers.length === 1}
            onclick={() => draft.layers.splice(at, 1)}>Take out</Button
          >
        </div>
      </li>
    {/each}
  </ol>
  <Button onclick={add}>Add a coat on top</Button>

  <Fold title="Where it lies, and what it is for" open>
    <Ticks label="Lies on" of={fields.substrates} fault={sending.fault('on')} bind:ids={draft.on} />
    <Ticks label="Meant for" of={fields.uses} fault={sending.fault('uses')} bind:ids={draft.uses} />
  </Fold>
  <Fold title="What it is like">
    <div class="grid">
      <ChoiceEntry label="Colour" choices={fields.tones} bind:value={draft.face.tone} />
      <ChoiceEntry label="Texture" choices={fields.textures} bind:value={draft.face.texture} />
      <ChoiceEntry label="Grip" choices={fields.grips} bind:value={draft.face.grip} />
      <ChoiceEntry label="Colour later" choices={fields.later} bind:value={draft.face.later} />
      <ChoiceEntry label="Rung" choices={fields.rungs} bind:value={draft.rung} />
      <ChoiceEntry
        label="Money"
        choices={MONEY}
        bind:value={() => String(draft.face.money), (v) => (draft.face.money = Number(v))}
      />
    </div>
    <Ticks
      label="Hides"
      of={fields.blemishes}
      fault={sending.fault('hides')}
      bind:ids={draft.hides}
    />
    <Ticks
      label="Never hides"
      of={fields.blemishes}
      fault={sending.fault('never')}
      bind:ids={draft.never}
    />
  </Fold>
  <Fold title="In words, for the client">
    <TextEntry
      label="How it looks"
      rows={3}
      fault={sending.fault('look')}
      bind:value={draft.look}
    />
    <TextEntry
      label="What it asks"
      rows={3}
      fault={sending.fault('asks')}
      bind:value={draft.asks}
    />
    <TextEntry label="Care" rows={3} fault={sending.fault('care')} bind:value={draft.care} />
  </Fold>
  <Button kind="main" type="submit" disabled={sending.busy}
    >{version === 0 ? 'Offer it from now on' : 'Save the next version'}</Button
  >
</form>

<style>
  h1 {
    font-size: 30px;
  }

  h2 {
    margin-block-start: 18px;
    font-size: 20px;
  }

  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
    gap: 0 18px;
  }

  ol {
    margin-block: 8px;
    border-block-end: 8px solid var(--concrete);
  }

  li {
    padding: 10px 0;
    border-block-start: 1px solid var(--line);
  }

  .acts {
    display: flex;
    gap: 8px;
  }
</style>
