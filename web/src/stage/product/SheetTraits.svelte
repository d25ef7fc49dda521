<script lang="ts">
  import type { SheetFieldsView, SheetForm, Units } from '../../api/types';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import Fold from '../../parts/Fold.svelte';
  import type { FormState } from '../../parts/form.svelte';

  interface Props {
    fields: SheetFieldsView;
    units: Units;
    sending: FormState;
    draft: SheetForm;
  }

  let { fields, units, sending, draft = $bindable() }: Props = $props();
  const may = $derived(fields.traits);

  type One = 'chemistry' | 'opacity' | 'gloss' | 'odour' | 'voc';
  type Many = 'on' | 'waives' | 'suits';

  const one = (of: One) => draft.traits?.[of] ?? '';
  const say = (of: One, word: string) => {
    draft.traits = { ...draft.traits, [of]: word === 'UNSAID' ? '' : word };
  };
  const has = (of: Many, word: string) => draft.traits?.[of]?.includes(word) ?? false;
  const tick = (of: Many, word: string, on: boolean) => {
    const rest = (draft.traits?.[of] ?? []).filter((w) => w !== word);
    draft.traits = { ...draft.traits, [of]: on ? [...rest, word] : rest };
  };
</script>

<Fold
  title="What it is like on a floor"
  about="What it may lie on, what it stands up to, how it is handled. Empty where the sheet does not say."
>
  <div class="grid">
    <ChoiceEntry
      label="Made of"
      choices={may.chemistries}
      bind:value={() => one('chemistry') || 'UNSAID', (v) => say('chemistry', v)}
    />
    <ChoiceEntry
      label="Seen through it"
      choices={may.opacities}
      bind:value={() => one('opacity') || 'UNSAID', (v) => say('opacity', v)}
    />
    <ChoiceEntry
      label="Gloss"
      choices={may.glosses}
      bind:value={() => one('gloss') || 'UNSAID', (v) => say('gloss', v)}
    />
    <ChoiceEntry
      label="Odour"
      choices={may.odours}
      bind:value={() => one('odour') || 'UNSAID', (v) => say('odour', v)}
    />
    <FieldEntry
      field={may.voc}
      {units}
      bind:value={() => one('voc'), (v) => say('voc', v)}
      fault={sending.fault('traits.voc')}
    />
    {#each fields.handling as field (field.id)}
      <FieldEntry
        {field}
        {units}
        bind:value={
          () => draft.handling?.[field.id] ?? '',
          (v) => (draft.handling = { ...draft.handling, [field.id]: v })
        }
        fault={sending.fault(`handling.${field.id}`)}
      />
    {/each}
  </div>
  {#each [{ of: 'on', title: 'May lie on, as the first coat', words: may.substrates }, { of: 'waives', title: 'Not needed on a sound floor', words: may.waives }, { of: 'suits', title: 'Stands up to', words: may.suits }] as const as group (group.of)}
    <fieldset>
      <legend>{group.title}</legend>
      {#each group.words as word (word.id)}
        <label>
          <input
            type="checkbox"
            checked={has(group.of, word.id)}
            onchange={(e) => tick(group.of, word.id, e.currentTarget.checked)}
          />
          <span>{word.label}</span>
        </label>
      {/each}
    </fieldset>
  {/each}
</Fold>

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
    gap: 0 16px;
  }

  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 18px;
    padding-block-end: 10px;
  }

  legend {
    font-weight: 600;
  }

  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-block-size: 36px;
  }

  input {
    inline-size: 20px;
    block-size: 20px;
  }
</style>
