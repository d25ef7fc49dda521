<script lang="ts">
  import type { Fault } from '../../api/call';

  interface Props {
    label: string;
    of: readonly { id: string; label: string }[];
    ids: string[];
    fault?: Fault | undefined;
  }

  let { label, of, ids = $bindable(), fault }: Props = $props();

  const has = (id: string) => ids.some((i) => i === id);
  const put = (id: string, on: boolean) => (ids = on ? [...ids, id] : ids.filter((i) => i !== id));
</script>

<fieldset>
  <legend>{label}</legend>
  {#each of as one (one.id)}
    <label>
      <input
        type="checkbox"
        checked={has(one.id)}
        onchange={(e) => put(one.id, e.currentTarget.checked)}
      />{one.label}
    </label>
  {/each}
  {#if fault}<p role="alert">Accepted: {fault.accepted}.</p>{/if}
</fieldset>

<style>
  fieldset {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
    gap: 0 18px;
    margin-block: 8px;
  }

  legend {
    font-weight: 600;
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

  p {
    color: var(--stop);
    font-weight: 600;
  }
</style>
