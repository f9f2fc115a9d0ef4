// What can be begun while the app itself is still being read: its colours, its frame, and the demo on a first visit.
(() => {
  const asked =
    new URLSearchParams(location.search).get('garden') ??
    sessionStorage.getItem('rundel.garden') ??
    localStorage.getItem('rundel.garden');
  const chosen = localStorage.getItem('rundel.theme');
  const root = document.documentElement;
  const bySystem = matchMedia('(prefers-contrast: more)').matches
    ? 'glare'
    : matchMedia('(prefers-color-scheme: dark)').matches
      ? 'dusk'
      : 'light';
  root.dataset.theme = ['light', 'dusk', 'glare'].includes(chosen) ? chosen : bySystem;
  root.dataset.garden = asked ?? '';
  if (asked !== 'demo' || localStorage.getItem('rundel.demoStored') !== null) return;
  const demo = (name) => fetch(new URL(`demo/${name}`, document.currentScript.src));
  const early = { garden: demo('gannet-slip.json'), states: demo('gannet-slip-states.json') };
  // whoever needs it hears of what went wrong
  for (const answer of Object.values(early)) answer.catch(() => undefined);
  globalThis.rundelDemo = early;
})();
