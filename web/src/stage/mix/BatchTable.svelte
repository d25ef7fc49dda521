<script lang="ts">
  import type { LayerReport, TimedClock } from '../../api/types';
  import FigureButton from '../../parts/FigureButton.svelte';

  interface Props {
    batching: NonNullable<LayerReport['batching']>;
    clocks: readonly TimedClock[];
    /** how it is mixed, as its sheet has it */
    mixing: string;
  }

  let { batching, clocks, mixing }: Props = $props();
  const life = $derived(clocks.find((c) => c.clock === 'POT_LIFE')?.time.minutes);
  const n = $derived(batching.count.value);
</script>

<section>
  <h2>
    <FigureButton figure={batching.count} text={String(n)} size="big" />
    {n === 1 ? 'batch' : 'equal batches'} of <FigureButton figure={batching.eachVolume} />
  </h2>
  <p>
    Each covers <FigureButton figure={batching.eachArea} />{#if life}; pot life at this slab <FigureButton
        figure={life}
      />{/if}.
  </p>
  <table>
    <thead>
      <tr><th>pour</th><th>US</th><th>metric</th><th>weighs</th><th>scale shows</th></tr>
    </thead>
    <tbody>
      {#each batching.scale as target, i (target.part)}
        {@const part = batching.parts.find((p) => p.part === target.part) ?? target}
        <tr>
          <th scope="row"><span>{i + 1}</span> {target.part}</th>
          <td
            ><FigureButton
              figure={part.usVolume}
              text="{part.usVolume.value.toFixed(1)} fl oz"
            /></td
          >
          <td><FigureButton figure={part.volume} text="{part.volume.value.toFixed(2)} L" /></td>
          <td><FigureButton figure={part.mass} /></td>
          <td class="scale"
            ><FigureButton figure={target.mass} /> <small>{target.mass.also}</small></td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  <p class="soft">{mixing}</p>
</section>

<style>
  h2 {
    font-size: 22px;
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    align-items: baseline;
  }

  table {
    margin-block: 12px 8px;
  }

  th {
    font-size: 13px;
    color: var(--ink-soft);
  }

  tbody th {
    font: 600 26px var(--figures);
    color: var(--ink);
  }

  tbody th span {
    font: 500 14px var(--text);
    color: var(--ink-soft);
  }

  td,
  tbody th {
    border-block-start: 1px solid var(--line);
    padding-block: 8px;
  }

  .scale {
    background: var(--chalk-wash);
    padding-inline-start: 8px;
  }

  .soft {
    font-size: 14px;
    color: var(--ink-soft);
  }
</style>
