"use strict";
// @generated: written with the pages; not to be reviewed.
// Finding declarations by name. What is searched is loaded as a script when it is first needed: pages that are opened
// from disk may read nothing else.
(() => {
  const root = document.currentScript.dataset.root;
  const field = document.getElementById("=find");
  const panel = document.getElementById("=found");
  const list = document.getElementById("=list");
  const told = document.getElementById("=told");
  const bar = document.getElementById("=filters");
  const most = 60;
  const levels = ["", "note", "warning", "error"];
  const filters = { language: "", kind: "", surface: "", level: "", rule: "" };
  let names = null;
  let waiting = [];
  let chosen = -1;

  function load(then) {
    if (names) { then(); return; }
    waiting.push(then);
    if (waiting.length > 1) return;
    const script = document.createElement("script");
    script.src = root + "names.js";
    script.onload = () => {
      const [words, pages, all] = window.vinequillNames;
      names = all.map(([qualified, anchor, kind, surface, page, level, rules]) => {
        const lower = qualified.toLowerCase();
        return {
          qualified, lower, last: lower.lastIndexOf(".") + 1, kind: words[kind], surface: words[surface],
          level: levels[level], rules: rules.map((rule) => words[rule]), language: words[pages[page][2]],
          path: pages[page][1], address: pages[page][0] + "#" + (anchor || qualified),
        };
      });
      // Short names first: of those that fit alike they are the nearest.
      names.sort((a, b) => a.lower.length - b.lower.length || (a.lower < b.lower ? -1 : a.lower > b.lower ? 1 : 0));
      for (const what of Object.keys(filters)) bar.append(choice(what));
      for (const next of waiting.splice(0)) next();
    };
    script.onerror = () => {
      waiting = [];
      panel.hidden = false;
      told.textContent = "names.js is missing beside this page; write the pages again";
    };
    document.head.append(script);
  }

  // 0 is the name itself; then names that begin so, names that hold it, and names inside what holds it.
  function distance(name, wanted) {
    const at = name.lower.lastIndexOf(wanted);
    if (at < 0) return -1;
    if (at < name.last) return 3;
    if (at > name.last) return 2;
    return name.lower.length - at === wanted.length ? 0 : 1;
  }

  function passes(name) {
    return (!filters.language || name.language === filters.language) && (!filters.kind || name.kind === filters.kind)
      && (!filters.surface || name.surface === filters.surface) && (!filters.level || name.level === filters.level)
      && (!filters.rule || name.rules.includes(filters.rule));
  }

  function choice(what) {
    const select = document.createElement("select");
    select.setAttribute("aria-label", "only this " + what);
    select.name = what;
    const known = new Set();
    for (const name of names) {
      if (what === "rule") for (const rule of name.rules) known.add(rule);
      else if (name[what]) known.add(name[what]);
    }
    for (const value of ["", ...[...known].sort()]) {
      const option = document.createElement("option");
      option.value = value;
      option.textContent = value || "any " + what;
      select.append(option);
    }
    select.addEventListener("change", () => { filters[what] = select.value; show(); });
    return select;
  }

  function show() {
    for (const select of bar.children) select.value = filters[select.name];
    const wanted = field.value.trim().toLowerCase().replaceAll("::", ".").replaceAll("#", ".");
    const any = wanted || Object.values(filters).some(Boolean);
    const near = [[], [], [], []];
    let count = 0;
    if (any) {
      for (const name of names) {
        const away = wanted ? distance(name, wanted) : 1;
        if (away < 0 || !passes(name)) continue;
        count += 1;
        if (near[away].length < most) near[away].push(name);
      }
    }
    const rows = near.flat().slice(0, most).map((name, at) => {
      const link = document.createElement("a");
      link.href = root + name.address;
      link.id = "=" + at;
      link.setAttribute("role", "option");
      link.setAttribute("aria-selected", "false");
      link.tabIndex = -1;
      const code = document.createElement("code");
      code.textContent = name.qualified;
      const place = document.createElement("small");
      place.textContent = ` ${name.kind}, ${name.path}`;
      link.append(code, place);
      return link;
    });
    if (!any) told.textContent = "Type a part of a name, or choose what to list.";
    else {
      const all = count === 1 ? "1 declaration" : `${count} declarations`;
      told.textContent = count > most ? `${all}, the nearest ${most} shown` : all;
    }
    list.replaceChildren(...rows);
    panel.hidden = false;
    field.setAttribute("aria-expanded", rows.length > 0 ? "true" : "false");
    chosen = -1;
    field.removeAttribute("aria-activedescendant");
  }

  function close() {
    panel.hidden = true;
    list.replaceChildren();
    field.setAttribute("aria-expanded", "false");
    field.removeAttribute("aria-activedescendant");
  }

  function choose(next) {
    const rows = list.children;
    if (!rows.length) return;
    if (chosen >= 0) rows[chosen].setAttribute("aria-selected", "false");
    chosen = (next + rows.length) % rows.length;
    rows[chosen].setAttribute("aria-selected", "true");
    rows[chosen].scrollIntoView({ block: "nearest" });
    field.setAttribute("aria-activedescendant", rows[chosen].id);
  }

  function only(rule) {
    filters.rule = rule;
    load(() => { field.focus(); show(); });
  }

  // The next gap below what was looked at last.
  function nextGap() {
    const gaps = [...document.querySelectorAll("article .gap")];
    const below = gaps.find((gap) => gap.getBoundingClientRect().top > innerHeight / 3 + 4) || gaps[0];
    if (!below) return;
    below.tabIndex = -1;
    below.focus({ preventScroll: true });
    scrollTo({ top: scrollY + below.getBoundingClientRect().top - innerHeight / 3 });
  }

  field.addEventListener("input", () => load(show));
  field.addEventListener("focus", () => load(show));
  field.addEventListener("keydown", (event) => {
    if (event.key === "ArrowDown") { event.preventDefault(); choose(chosen + 1); }
    else if (event.key === "ArrowUp") { event.preventDefault(); choose(chosen < 0 ? -1 : chosen - 1); }
    else if (event.key === "Enter") list.children[Math.max(chosen, 0)]?.click();
  });
  document.addEventListener("keydown", (event) => {
    if (event.key === "Escape" && !panel.hidden) {
      field.value = "";
      for (const what of Object.keys(filters)) filters[what] = "";
      close();
      field.blur();
      return;
    }
    if (event.ctrlKey || event.metaKey || event.altKey || event.target.matches("input, select, textarea")) return;
    if (event.key === "/") { event.preventDefault(); field.focus(); }
    if (event.key === "g") nextGap();
  });
  document.addEventListener("click", (event) => {
    const rule = event.target.closest("[data-rule]");
    if (rule) { event.preventDefault(); only(rule.dataset.rule); }
    else if (event.target.closest(".found a")) close();
    else if (!event.target.closest(".search")) close();
  });
  if (location.hash.startsWith("#find=")) only(location.hash.slice(6));
})();
