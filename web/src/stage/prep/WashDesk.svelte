<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { mixWash, washes } from '../../api/client';
  import type { JobHead, MixView, WashesView, PrepZone } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';

  interface Props {
    job: JobHead;
    zone: PrepZone;
  }

  let { job, zone }: Props = $props();

  const units = $derived(job.facts.units);

  let view = $state.raw<WashesView | null>(null);
  let made = $state.raw<MixView | null>(null);
  const mix = $derived(made?.mix);
  let problem = $state.raw<ApiProblem | null>(null);
  let chemical = $state('DEGREASER');
  let ratio = $state('');
  let last = $state('');
  // the zone's own floor, until somebody says another
  // svelte-ignore state_referenced_locally
  let values = $state<Record<string, string>>({
    vessel: units === 'US' ? '5 gal' : '20 L',
    area: zone.report.area.text,
    spread: units === 'US' ? '150 ft²/gal' : '3.5 m²/L',
  });

  const chosen = $derived(view?.chemicals.find((c) => c.id === chemical));
  const fault = (field: string) => problem?.faults.find((f) => f.field === field);

  $effect(() => {
    washes().then((v) => (view = v), failed);
  });

  function failed(e: unknown) {
    problem = asProblem(e);
  }

  async function work(event: SubmitEvent) {
    event.preventDefault();
    problem = null;
    made = null;
    try {
      made = await mixWash({
        chemical,
        ratio,
        last,
        vessel: values['vessel'] ?? '',
        marks: values['marks'] ?? '',
        scoop: values['scoop'] ?? '',
        area: values['area'] ?? '',
        spread: values['spread'] ?? '',
        sections: values['sections'] ?? '',
        units,
      });
    } catch (e) {
      failed(e);
    }
  }
</script>

{#if view && chosen}
  <form onsubmit={work} novalidate>
    <Trouble
      {problem}
      shown={['ratio', 'last', 'vessel', 'marks', 'scoop', 'area', 'spread', 'sections']}
    />
    <div class="grid">
      <ChoiceEntry label="What goes in" choices={view.chemicals} bind:value={chemical} />
      <TextEntry
        label="How strong"
        hint="{chosen.weakest} to {chosen.strongest}; as the label has it: 1:4, 12 oz/gal, 5 %, 1 bag/2 gal"
        fault={fault('ratio')}
        bind:value={ratio}
      />
      {#each view.fields as field (field.id)}
        <FieldEntry
          {field}
          {units}
          bind:value={() => values[field.id] ?? '', (v) => (values[field.id] = v)}
          fault={fault(field.id)}
        />
      {/each}
      <ChoiceEntry
        label="On this floor before"
        hint="what may still be there"
        choices={[{ id: '', label: 'nothing' }, ...view.chemicals]}
        fault={fault('last')}
        bind:value={last}
      />
    </div>
    <p class="soft">{chosen.use} {chosen.source.sentence}</p>
    {#if chosen.never.length > 0}
      <p class="caution">
        <b>Never with</b>
        {chosen.never.map((n) => n.label).join(', ')}, nor on what is left of them.
      </p>
    {/if}
    <Button type="submit" kind="main">Work it out</Button>
  </form>
  {#if mix}
    <div class="answer" role="status">
      <p>
        <b>{mix.words}.</b>
        {mix.vessels}
        {mix.vessels === 1 ? 'vessel' : 'vessels'}, <FigureButton figure={mix.total} /> in all, <FigureButton
          figure={mix.section}
        />
        {mix.of}.
      </p>
      <ol>
        <li>
          {mix.order[0]}
          <FigureButton figure={mix.water} />
          <small
            >{mix.water.also}; {Math.round(mix.waterLine.value)} % of the filling{#if made?.mark},
              to line <FigureButton figure={made.mark} />{/if}</small
          >
        </li>
        <li>
          {mix.order[1]}
          <FigureButton figure={mix.concentrate} />
          <small
            >{mix.concentrate.also}{#if made?.measured && made.measured !== mix.concentrate.text}, {made.measured}{/if}{#if made?.scoops},
              <FigureButton figure={made.scoops} />{/if}</small
          >
        </li>
      </ol>
      {#if mix.soda}
        <p>
          Baking soda to make all of it harmless, had the floor used none: <FigureButton
            figure={mix.soda}
          />
        </p>
      {/if}
      <p class="caution"><b>Caution.</b> {mix.caution}</p>
    </div>
  {/if}
{/if}

<style>
  .grid {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px 16px;
  }

  .soft,
  small {
    color: var(--ink-soft);
    font-size: 14px;
  }

  .caution {
    margin-block: 6px;
    padding-inline-start: 10px;
    border-inline-start: 4px solid var(--stop);
    font-size: 14px;
  }

  .answer {
    margin-block-start: 12px;
    padding-block-start: 10px;
    border-block-start: 2px solid var(--ink);
  }

  ol {
    list-style: decimal;
    padding-inline-start: 22px;
    margin-block: 6px;
  }

  li {
    padding-block: 4px;
  }

  @media (max-width: 700px) {
    .grid {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
