<script lang="ts">
  interface Props {
    /** Why what was laid out cannot be drawn any more; empty where it can. */
    why: string;
  }

  let { why }: Props = $props();
</script>

{#if why}<p role="status">Not drawn: {why}</p>{/if}

<style>
  p {
    padding-block: 8px;
    font-weight: 600;
  }
</style>
