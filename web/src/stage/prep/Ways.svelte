<script lang="ts">
  import type { PrepZone } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import Button from '../../parts/Button.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';

  interface Props {
    desk: JobDesk;
    zone: PrepZone;
  }

  let { desk, zone }: Props = $props();
  const ways = $derived(zone.sheet.ways);
  /** The one whose reason is being written. */
  let asking = $state('');
  const sending = new Logging();

  function ask(id: string) {
    sending.why = '';
    asking = id;
  }

  async function choose(event: SubmitEvent) {
    event.preventDefault();
    if (await sending.write(desk, zone.id, 'METHOD', asking)) {
      asking = '';
    }
  }
</script>

<ol>
  {#each ways as way, at (way.id)}
    {@const figures = [way.hours, way.waits, way.dust, way.water].filter((f) => f !== undefined)}
    <li class:chosen={way.chosen}>
      <div class="name">
        <h3>{way.title}</h3>
        {#if way.chosen}
          <b>this is the plan</b>
        {:else if asking !== way.id}
          <Button kind="quiet" onclick={() => ask(way.id)}>Do it this way</Button>
        {/if}
      </div>
      <p>
        {way.why || way.because}
        {#if at === 0}<span class="soft">First of what fits here.</span>{/if}
      </p>
      <p class="figures">
        {#if way.profile}<span>leaves {way.profile}</span>{/if}
        {#each figures as figure (figure.label)}
          <span>{figure.label} <FigureButton {figure} /></span>
        {/each}
      </p>
      {#if way.demands.length > 0}
        <p class="soft">It {way.demands.join(', ')}.</p>
      {/if}
      <p class="soft">{way.tools.join(' · ')}</p>
      {#if asking === way.id}
        <form onsubmit={choose} novalidate>
          <Trouble problem={sending.problem} shown={['by', 'note']} />
          <TextEntry
            label="Why this way"
            hint="kept with the floor"
            fault={sending.fault('note')}
            bind:value={sending.why}
          />
          <TextEntry
            label="By"
            fault={sending.fault('by')}
            bind:value={sending.by}
            autocomplete="name"
          />
          <div class="acts">
            <Button type="submit" kind="main" disabled={sending.busy}>Plan it this way</Button>
            <Button kind="quiet" onclick={() => (asking = '')}>Leave it</Button>
          </div>
        </form>
      {/if}
    </li>
  {/each}
</ol>

<style>
  ol {
    list-style: none;
    padding: 0;
    margin: 0;
  }

  li {
    padding: 10px 0 12px 14px;
    border-inline-start: 4px solid var(--line);
    margin-block-end: 10px;
  }

  .chosen {
    border-inline-start-color: var(--ink);
  }

  .name {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    justify-content: space-between;
    gap: 4px 16px;
  }

  h3 {
    font: 600 24px/1.1 var(--figures);
    text-transform: uppercase;
  }

  .figures {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 18px;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 14px;
  }

  form {
    display: grid;
    gap: 8px;
    max-inline-size: 520px;
    margin-block-start: 8px;
  }

  .acts {
    display: flex;
    gap: 10px;
  }
</style>
