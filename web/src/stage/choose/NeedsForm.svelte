<script lang="ts">
  import type { ChoiceZone, JobHead } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import { known } from '../../app/reference.svelte';
  import Button from '../../parts/Button.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import Fold from '../../parts/Fold.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ChoiceZone;
    onclose: () => void;
  }

  let { desk, job, zone, onclose }: Props = $props();
  // what was said last is what the form begins with
  // svelte-ignore state_referenced_locally
  let values = $state<Record<string, string>>({ ...zone.said });
  const sending = new Logging();
  const groups = $derived(known.view?.needs ?? []);
  const isYes = (field: { choices: readonly { id: string }[] }) => field.choices.length === 1;
  const put = (id: string, on: boolean) => (values[id] = on ? 'yes' : '');

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const said = Object.fromEntries(
      Object.entries(values).filter(([, text]) => text.trim() !== ''),
    );
    if (await sending.write(desk, zone.id, 'NEED', 'needs', { values: said })) {
      onclose();
    }
  }
</script>

<form onsubmit={save}>
  {#each groups as group, at (group.title)}
    <Fold title={group.title} open={at !== 1}>
      <div class="fields" class:many={group.fields.every(isYes)}>
        {#each group.fields as field (field.id)}
          {#if isYes(field)}
            <label>
              <input
                type="checkbox"
                checked={values[field.id] === 'yes'}
                onchange={(e) => put(field.id, e.currentTarget.checked)}
              />{field.label}
            </label>
          {:else}
            <div>
              <FieldEntry
                {field}
                units={job.facts.units}
                bind:value={() => values[field.id] ?? '', (v) => (values[field.id] = v)}
                fault={sending.fault(`values.${field.id}`)}
              />
              {#if field.choices.length > 0 && values[field.id]}
                <Button kind="quiet" onclick={() => put(field.id, false)}>Either will do</Button>
              {/if}
            </div>
          {/if}
        {/each}
      </div>
    </Fold>
  {/each}
  <TextEntry label="By" bind:value={sending.by} fault={sending.fault('by')} />
  <Trouble problem={sending.problem} />
  <div class="acts">
    <Button type="submit" kind="main" disabled={sending.busy}>Weigh the systems</Button>
    <Button kind="quiet" onclick={onclose}>Leave it</Button>
  </div>
</form>

<style>
  form {
    max-inline-size: 760px;
    padding: 8px 16px 16px;
    background: var(--paper);
    border: 1px solid var(--line);
  }

  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
    gap: 4px 24px;
    align-items: start;
  }

  .many {
    grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  }

  label {
    display: flex;
    align-items: center;
    gap: 10px;
    min-block-size: var(--tap);
    cursor: pointer;
  }

  input {
    inline-size: 20px;
    block-size: 20px;
    flex: none;
  }

  .acts {
    display: flex;
    gap: 8px;
    margin-block-start: 8px;
  }
</style>
