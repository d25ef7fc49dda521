<script lang="ts">
  import { untrack, type Snippet } from 'svelte';
  import { type ApiProblem, asProblem } from '../../api/call';
  import type { Recipe, RecipeFieldsView, RecipeForm, Units } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Fold from '../../parts/Fold.svelte';
  import Mark from '../../parts/Mark.svelte';
  import Picks from '../../parts/Picks.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import RecipeTable from './RecipeTable.svelte';

  interface Props {
    units: Units;
    /** How it may be asked for. */
    fields: () => Promise<RecipeFieldsView>;
    mix: (form: RecipeForm) => Promise<Recipe>;
    /** What the form begins with. */
    first?: Record<string, string>;
    /** What can be done with what was worked out. */
    then?: Snippet<[Recipe, RecipeForm]>;
  }

  let { units, fields, mix, first = {}, then }: Props = $props();

  let view = $state.raw<RecipeFieldsView | null>(null);
  let recipe = $state.raw<Recipe | null>(null);
  /** What it was asked with. */
  let asked = $state.raw<RecipeForm | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  let way = $state('');
  let measuring = $state('');
  // a draft, begun with what the floor asks for
  // svelte-ignore state_referenced_locally
  let values = $state<Record<string, string>>({ ...first });
  let vessel = $state<Record<string, string>>({});
  let extras = $state<Record<string, string>>({});

  const chosen = $derived(view?.ways.find((w) => w.id === way));
  const fault = (field: string) => problem?.faults.find((f) => f.field === field);
  const shown = $derived([
    'measuring',
    ...(chosen?.fields.map((f) => `values.${f.id}`) ?? []),
    ...(view?.vessel.map((f) => `vessel.${f.id}`) ?? []),
    ...(view?.extras.map((f) => `extras.${f.id}`) ?? []),
  ]);

  // asked once: what was picked since is not lost when the job changes
  $effect(
    () =>
      void untrack(fields).then(
        (v) => {
          view = v;
          way = v.ways[0]?.id ?? '';
          measuring = v.measurings[0]?.id ?? '';
        },
        (e: unknown) => (problem = asProblem(e)),
      ),
  );

  const said = (typed: Record<string, string>, ids: readonly string[]) =>
    Object.fromEntries(
      Object.entries(typed).filter(([id, text]) => ids.includes(id) && text.trim() !== ''),
    );

  async function work(event: SubmitEvent) {
    event.preventDefault();
    problem = null;
    recipe = null;
    try {
      asked = {
        way,
        measuring,
        values: said(values, chosen?.fields.map((f) => f.id) ?? []),
        vessel: said(vessel, view?.vessel.map((f) => f.id) ?? []),
        extras: said(extras, view?.extras.map((f) => f.id) ?? []),
        units,
      };
      recipe = await mix(asked);
    } catch (e) {
      problem = asProblem(e);
    }
  }
</script>

{#if view && chosen}
  <form onsubmit={work} novalidate>
    <Trouble {problem} {shown} />
    {#if view.ways.length > 1}
      <Picks label="How much" choices={view.ways} picked={way} onpick={(id) => (way = id)} />
    {/if}
    <div class="grid">
      {#each chosen.fields as field (field.id)}
        <FieldEntry
          {field}
          {units}
          bind:value={() => values[field.id] ?? '', (v) => (values[field.id] = v)}
          fault={fault(`values.${field.id}`)}
        />
      {/each}
      {#if view.measurings.length > 1}
        <ChoiceEntry
          label="Measured"
          choices={view.measurings}
          fault={fault('measuring')}
          bind:value={measuring}
        />
      {/if}
    </div>
    <Fold title="The pail: how large, how heavy, its lines, a scoop">
      <div class="grid">
        {#each view.vessel as field (field.id)}
          <FieldEntry
            {field}
            {units}
            bind:value={() => vessel[field.id] ?? '', (v) => (vessel[field.id] = v)}
            fault={fault(`vessel.${field.id}`)}
          />
        {/each}
      </div>
    </Fold>
    {#if view.extras.length > 0}
      <Fold title="Grit, thinner, a preview">
        <div class="grid">
          {#each view.extras as field (field.id)}
            <FieldEntry
              {field}
              {units}
              bind:value={() => extras[field.id] ?? '', (v) => (extras[field.id] = v)}
              fault={fault(`extras.${field.id}`)}
            />
          {/each}
        </div>
      </Fold>
    {/if}
    <Button type="submit" kind="main">Work it out</Button>
  </form>
  {#if recipe}
    <section class="answer" aria-label="Recipe" role="status">
      <p class="sum">
        <FigureButton figure={recipe.all} text={recipe.measured} size="big" />
        {#if recipe.fillings.value > 1}<span
            >in <FigureButton
              figure={recipe.fillings}
              text={String(recipe.fillings.value)}
              size="big"
            /> vessels of <FigureButton figure={recipe.each} size="big" /></span
          >{:else}<span>in one vessel</span>{/if}
        {#if recipe.covers}<span>for <FigureButton figure={recipe.covers} size="big" /></span>{/if}
      </p>
      <RecipeTable {recipe} />
      {#each recipe.left as over (over.label)}
        <p>{over.label}: <FigureButton figure={over} /></p>
      {/each}
      {#if recipe.thinned}
        {@const t = recipe.thinned}
        <dl>
          <dt>{t.solids.label}</dt>
          <dd><FigureButton figure={t.solids} /></dd>
          <dt>{t.film.label}</dt>
          <dd><FigureButton figure={t.film} /></dd>
          <dt>{t.spread.label}</dt>
          <dd><FigureButton figure={t.spread} /></dd>
          {#if t.voc}<dt>{t.voc.label}</dt>
            <dd><FigureButton figure={t.voc} /></dd>{/if}
        </dl>
      {/if}
      {#each recipe.findings as f (f.rule)}
        <p class="finding"><Mark mark={f.verdict} /> {f.because} {f.remedy}</p>
      {/each}
      {#if asked}{@render then?.(recipe, asked)}{/if}
    </section>
  {/if}
{:else}
  <Trouble {problem} />
{/if}

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
    gap: 4px 18px;
  }

  .answer {
    margin-block-start: 20px;
    padding-block-start: 14px;
    border-block-start: 3px solid var(--ink);
  }

  .sum {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 12px;
    align-items: baseline;
  }

  dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 4px 16px;
  }

  dt {
    color: var(--ink-soft);
  }

  .finding {
    margin-block-start: 8px;
  }
</style>
