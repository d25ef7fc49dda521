<script lang="ts">
  import type { StagingThing, ZoneHead } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import { person } from '../../app/person.svelte';
  import Fold from '../../parts/Fold.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';

  interface Props {
    desk: JobDesk;
    zone: ZoneHead;
    things: StagingThing[];
    /** Whether a step in hand still waits for some of it. */
    wanted: boolean;
  }

  let { desk, zone, things, wanted }: Props = $props();
  const sending = new Logging();

  const groups = $derived(
    [...new Set(things.map((t) => t.group))].map((group) => ({
      group,
      things: things.filter((t) => t.group === group),
    })),
  );
  const ticked = $derived(things.filter((t) => t.ticked).length);

  /** A tick that was a mistake is struck, and stays readable in the log. */
  function tick(thing: StagingThing) {
    void (thing.ticked
      ? sending.strike(desk, zone.id, thing.ticked.key)
      : sending.write(desk, zone.id, 'TICK', thing.id));
  }
</script>

<Fold
  title="At hand: {ticked} of {things.length} ticked"
  about="A clock is started when everything its step needs is at hand; a tick holds for a day."
  open={wanted}
>
  <Trouble problem={sending.problem} shown={['by']} />
  {#if person.name === ''}
    <TextEntry
      label="Ticked by"
      fault={sending.fault('by')}
      bind:value={sending.by}
      autocomplete="name"
    />
  {/if}
  <div class="groups">
    {#each groups as group (group.group)}
      <fieldset>
        <legend>{group.group}</legend>
        {#each group.things as thing (thing.id)}
          <label>
            <input
              type="checkbox"
              checked={thing.ticked !== undefined}
              disabled={sending.busy}
              onclick={(event) => {
                // the log says whether it is ticked, not the box
                event.preventDefault();
                tick(thing);
              }}
            />
            <span>{thing.label}</span>
            {#if thing.ticked}<small>{thing.ticked.by}</small>{/if}
          </label>
        {/each}
      </fieldset>
    {/each}
  </div>
</Fold>

<style>
  .groups {
    columns: 2;
    column-gap: 24px;
  }

  fieldset {
    break-inside: avoid;
    padding-block-end: 8px;
  }

  legend {
    font-weight: 600;
  }

  label {
    display: flex;
    align-items: center;
    gap: 10px;
    min-block-size: 38px;
    cursor: pointer;
  }

  input {
    inline-size: 22px;
    block-size: 22px;
    flex: none;
  }

  small {
    color: var(--ink-soft);
  }

  @media (max-width: 700px) {
    .groups {
      columns: 1;
    }

    label {
      min-block-size: var(--tap);
    }
  }
</style>
