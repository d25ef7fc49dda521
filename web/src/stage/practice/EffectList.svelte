<script lang="ts">
  import type { PracticeEffects } from '../../api/types';

  interface Props {
    /** Not there as long as nobody worked it out. */
    effects: PracticeEffects | null;
    /** Of one job, which needs no naming. */
    single: boolean;
  }

  let { effects, single }: Props = $props();
  const all = $derived(effects?.zones.reduce((sum, z) => sum + z.effects.length, 0) ?? 0);
</script>

<div role="status">
  {#if !effects}
    <p>Working it out…</p>
  {:else if all === 0}
    <p>
      Nothing on {effects.looked === 1 ? 'its one floor' : `any of ${effects.looked} floors`} today. What
      is begun or chosen later follows it.
    </p>
  {:else}
    <p>
      {all}
      {all === 1 ? 'answer' : 'answers'} on {effects.zones.length} of {effects.looked}
      {effects.looked === 1 ? 'floor' : 'floors'}. What was done stays as it was done.
    </p>
  {/if}
</div>
{#each effects?.zones ?? [] as z (z.zoneId)}
  <section aria-label={z.zone}>
    <h3>{single ? z.zone : `${z.job}, ${z.zone}`}</h3>
    <dl>
      {#each z.effects as e (e.where)}
        <dt>{e.where}</dt>
        {#if e.was && e.becomes.startsWith(e.was)}
          <dd>{e.was}<ins>{e.becomes.slice(e.was.length)}</ins></dd>
        {:else}
          {#if e.was}<dd><del>{e.was}</del></dd>{/if}
          <dd>
            {#if e.becomes}<ins class="instead">{e.becomes}</ins>{:else}falls away{/if}
          </dd>
        {/if}
      {/each}
    </dl>
  </section>
{/each}

<style>
  h3 {
    margin-block-start: 12px;
    font-size: 16px;
  }

  dt {
    margin-block-start: 8px;
    font-weight: 600;
    font-size: 14px;
  }

  dd {
    font-size: 14px;
  }

  del {
    color: var(--ink-soft);
  }

  ins {
    font-weight: 600;
    text-decoration: none;
    color: var(--chalk);
  }

  .instead {
    display: block;
    padding-inline-start: 8px;
    box-shadow: inset 3px 0 0 var(--chalk);
    font-weight: 500;
    color: var(--ink);
  }
</style>
