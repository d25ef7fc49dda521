<script lang="ts">
  import type { Fault } from '../api/call';
  import type { Field, Units } from '../api/types';
  import Entry from './Entry.svelte';

  interface Props {
    field: Field;
    units: Units;
    value: string;
    fault?: Fault | undefined;
  }

  let { field, units, value = $bindable(), fault }: Props = $props();
  const unit = $derived((units === 'US' ? field.us : field.metric).symbol);
  const hint = $derived([unit, field.hint].filter((t) => t !== '').join(' · '));
  const name = $props.id();
</script>

{#if field.choices.length > 0}
  <fieldset>
    <legend>{field.label}</legend>
    <div class="choices">
      {#each field.choices as choice (choice.id)}
        <label>
          <input type="radio" {name} value={choice.id} bind:group={value} />
          <span>{choice.label}</span>
        </label>
      {/each}
    </div>
    {#if fault}<p class="fault">Choose one.</p>{/if}
  </fieldset>
{:else}
  <Entry label={field.label} {hint} {fault}>
    {#snippet children({ id, describedby, invalid })}
      <input
        {id}
        bind:value
        inputmode={unit === '' && !field.words ? 'decimal' : 'text'}
        autocomplete="off"
        aria-describedby={describedby}
        aria-invalid={invalid}
      />
    {/snippet}
  </Entry>
{/if}

<style>
  legend {
    font-weight: 500;
    padding: 0;
  }

  .choices {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    padding-block: 2px 14px;
  }

  label {
    position: relative;
    display: block;
    cursor: pointer;
  }

  input[type='radio'] {
    position: absolute;
    inset: 0;
    opacity: 0;
    cursor: pointer;
  }

  span {
    display: flex;
    align-items: center;
    min-block-size: var(--tap);
    padding: 0 14px;
    border: 1px solid var(--line-strong);
    border-radius: var(--radius);
    background: #ffffff;
  }

  input:checked + span {
    border: 2px solid var(--chalk);
    background: var(--chalk-wash);
    font-weight: 600;
  }

  input:focus-visible + span {
    outline: 3px solid var(--chalk);
    outline-offset: 2px;
  }

  .fault {
    color: var(--stop);
    font-size: 13px;
    font-weight: 500;
    margin-block-start: -12px;
  }
</style>
