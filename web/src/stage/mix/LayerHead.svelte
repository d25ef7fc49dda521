<script lang="ts">
  import { jobHref } from '../../app/route.svelte';
  import type { JobHead, LayerReport, LayerZone } from '../../api/types';

  interface Props {
    title: string;
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { title, job, zone, layer }: Props = $props();
</script>

<header>
  <h1>{title}</h1>
  <a href={jobHref(job.id, zone.id, layer.id)}>Back to {layer.title}</a>
</header>

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: baseline;
    gap: 4px 16px;
    margin-block-end: 10px;
  }

  h1 {
    font-size: 30px;
  }

  a {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
  }
</style>
