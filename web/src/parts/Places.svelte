<script lang="ts">
  interface Place {
    id: string;
    label: string;
  }

  interface Props {
    /** The places of a long screen, from its top down. */
    places: readonly Place[];
    /** Where each is linked to. */
    href: (id: string) => string;
    /** Which of them the address names. */
    section: string;
  }

  let { places, href, section }: Props = $props();
  let nav = $state<HTMLElement>();
  let seen = $state('');

  const named = $derived(places.map((p) => p.id).join(' '));

  /** Each is an element of its name on the screen. */
  const place = (id: string) => document.getElementById(`at-${id}`);

  // whoever follows a link is taken there; without one, to the top
  $effect(() => {
    if (section) {
      place(section)?.scrollIntoView({ block: 'start' });
    }
  });

  // the place that is looked at, also where it was scrolled to
  $effect(() => {
    const ids = named.split(' ');
    const look = () => {
      const line = (nav?.getBoundingClientRect().bottom ?? 0) + 40;
      const tops = ids.map((id) => place(id)?.getBoundingClientRect().top ?? Infinity);
      // the lowest that begins above the line; of two side by side, the first
      const lowest = Math.max(...tops.filter((top) => top < line));
      seen = ids[tops.indexOf(lowest)] ?? ids[0] ?? '';
    };
    look();
    addEventListener('scroll', look, { passive: true });
    return () => removeEventListener('scroll', look);
  });
</script>

<nav aria-label="Places on this screen" bind:this={nav}>
  <ul>
    {#each places as p (p.id)}
      <li>
        <a
          href={href(p.id)}
          aria-current={p.id === seen ? 'location' : undefined}
          onclick={() => {
            // also where the address stays as it is
            if (p.id === section) {
              place(p.id)?.scrollIntoView({ block: 'start' });
            }
          }}>{p.label}</a
        >
      </li>
    {/each}
  </ul>
</nav>

<style>
  nav {
    position: sticky;
    inset-block-start: 0;
    z-index: 2;
    margin-inline: -24px;
    margin-block-end: 14px;
    padding-inline: 24px;
    background: var(--ground);
    border-block-end: 1px solid var(--line);
    overflow-x: auto;
    scrollbar-width: none;
  }

  ul {
    display: flex;
    gap: 2px;
  }

  a {
    display: flex;
    align-items: center;
    min-block-size: var(--tap);
    padding: 0 10px;
    color: var(--ink);
    font-size: 15px;
    text-decoration: none;
    white-space: nowrap;
  }

  a:hover {
    background: var(--chalk-wash);
  }

  a[aria-current] {
    font-weight: 600;
    box-shadow: inset 0 -3px 0 var(--chalk);
  }

  :global([id^='at-']) {
    scroll-margin-block-start: 58px;
  }

  @media (max-width: 759px) {
    nav {
      margin-inline: -12px;
      padding-inline: 6px;
    }
  }
</style>
