<script lang="ts">
  import type { Recipe } from '../../api/types';
  import FigureButton from '../../parts/FigureButton.svelte';

  interface Props {
    recipe: Recipe;
  }

  let { recipe }: Props = $props();
  const weighed = $derived(recipe.portions.some((p) => p.mass));
  const onScale = $derived(recipe.portions.some((p) => p.scale));
  const scooped = $derived(recipe.portions.some((p) => p.scoops));
  const lined = $derived(recipe.portions.some((p) => p.line));
</script>

<p class="words">{recipe.words}.</p>
<div class="wide">
  <table>
    <thead>
      <tr
        ><th>pour</th><th>measure</th><th>that is</th>{#if scooped}<th>scoops</th
          >{/if}{#if lined}<th>line</th>{/if}{#if weighed}<th>weighs</th>{/if}{#if onScale}<th
            >scale shows</th
          >{/if}</tr
      >
    </thead>
    <tbody>
      {#each recipe.portions as p, i (p.part)}
        <tr>
          <th scope="row"><span>{i + 1}</span> {p.part}</th>
          <td
            ><FigureButton figure={p.volume} text={p.measured} />{#if p.most}
              <small>up to <FigureButton figure={p.most} /></small>{/if}</td
          >
          <td class="soft">{p.volume.text}{p.volume.also ? `, ${p.volume.also}` : ''}</td>
          {#if scooped}<td
              >{#if p.scoops}<FigureButton figure={p.scoops} />{/if}</td
            >{/if}
          {#if lined}<td
              >{#if p.line}<FigureButton figure={p.line} />{/if}</td
            >{/if}
          {#if weighed}<td
              >{#if p.mass}<FigureButton figure={p.mass} />{/if}</td
            >{/if}
          {#if onScale}<td class="scale"
              >{#if p.scale}<FigureButton figure={p.scale} />
                <small
                  >{p.scale.also}{#if p.within}, {p.within.from.text} to {p.within.to
                      .text}{/if}</small
                >{/if}</td
            >{/if}
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .words {
    font-weight: 600;
  }

  .wide {
    overflow-x: auto;
  }

  table {
    margin-block: 12px 8px;
  }

  th {
    font-size: 13px;
    color: var(--ink-soft);
  }

  tbody th {
    font: 600 22px var(--figures);
    color: var(--ink);
    white-space: nowrap;
  }

  tbody th span {
    font: 500 14px var(--text);
    color: var(--ink-soft);
  }

  td,
  tbody th {
    border-block-start: 1px solid var(--line);
    padding-block: 8px;
    padding-inline-end: 14px;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 14px;
  }

  .scale {
    background: var(--chalk-wash);
    padding-inline-start: 8px;
  }
</style>
