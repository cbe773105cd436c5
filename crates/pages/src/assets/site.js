"use strict";
// @generated: written with the pages; not to be reviewed.
// Finding declarations by name. What is searched is loaded as a script when it is first needed: pages that are opened
// from disk may read nothing else.
(() => {
  const root = document.currentScript.dataset.root;
  const field = document.getElementById("=find");
  const list = document.getElementById("=found");
  const most = 60;
  let names = null;
  let chosen = -1;
  const filters = { language: "", kind: "", surface: "", level: "", rule: "" };
  const levels = ["", "note", "warning", "error"];

  function load(then) {
    if (names) { then(); return; }
    const script = document.createElement("script");
    script.src = root + "names.js";
    script.onload = () => {
      const [pages, all] = window.vinequillNames;
      names = all.map(([qualified, anchor, kind, surface, page, level, rules]) => ({
        qualified, lower: qualified.toLowerCase(), kind, surface, level: levels[level], rules: rules.split(" "),
        language: pages[page][2], path: pages[page][1], address: pages[page][0] + "#" + encodeURIComponent(anchor),
      }));
      then();
    };
    document.head.append(script);
  }

  // A name that begins so comes before one that only holds it; its last part counts most.
  function rank(name, wanted) {
    const at = name.lower.lastIndexOf(wanted);
    if (at < 0) return -1;
    const last = name.lower.lastIndexOf(".") + 1;
    if (name.lower.slice(last) === wanted) return 0;
    if (at === last) return 1;
    return at > last ? 2 : 3;
  }

  function passes(name) {
    return (!filters.language || name.language === filters.language) && (!filters.kind || name.kind === filters.kind)
      && (!filters.surface || name.surface === filters.surface) && (!filters.level || name.level === filters.level)
      && (!filters.rule || name.rules.includes(filters.rule));
  }

  function choice(what) {
    const select = document.createElement("select");
    select.setAttribute("aria-label", "only this " + what);
    const values = what === "rule" ? names.flatMap((name) => name.rules) : names.map((name) => name[what]);
    const known = [...new Set(values)].filter(Boolean).sort();
    for (const value of ["", ...known]) {
      const option = document.createElement("option");
      option.value = value;
      option.textContent = value || "any " + what;
      select.append(option);
    }
    select.value = filters[what];
    select.addEventListener("change", () => { filters[what] = select.value; show(); });
    return select;
  }

  function show() {
    const wanted = field.value.trim().toLowerCase().replaceAll("::", ".").replaceAll("#", ".");
    const any = wanted || Object.values(filters).some(Boolean);
    if (!any) { close(); return; }
    const found = [];
    for (const name of names) {
      const score = wanted ? rank(name, wanted) : 1;
      if (score >= 0 && passes(name)) found.push([score, name]);
    }
    found.sort((a, b) => a[0] - b[0] || a[1].lower.length - b[1].lower.length || (a[1].lower < b[1].lower ? -1 : 1));
    const bar = document.createElement("div");
    bar.className = "filters";
    for (const what of Object.keys(filters)) bar.append(choice(what));
    const told = document.createElement("p");
    told.setAttribute("role", "status");
    told.textContent = found.length > most ? `${found.length} found, the nearest ${most} shown` : `${found.length} found`;
    const rows = found.slice(0, most).map(([, name], at) => {
      const link = document.createElement("a");
      link.href = root + name.address;
      link.id = "=" + at;
      link.setAttribute("role", "option");
      link.setAttribute("aria-selected", "false");
      const code = document.createElement("code");
      code.textContent = name.qualified;
      const place = document.createElement("small");
      place.textContent = ` ${name.kind}, ${name.path}`;
      link.append(code, place);
      return link;
    });
    list.replaceChildren(bar, told, ...rows);
    list.hidden = false;
    field.setAttribute("aria-expanded", "true");
    chosen = -1;
    field.removeAttribute("aria-activedescendant");
  }

  function close() {
    list.hidden = true;
    list.replaceChildren();
    field.setAttribute("aria-expanded", "false");
    field.removeAttribute("aria-activedescendant");
  }

  function choose(next) {
    const rows = list.querySelectorAll("a");
    if (!rows.length) return;
    if (chosen >= 0) rows[chosen].setAttribute("aria-selected", "false");
    chosen = (next + rows.length) % rows.length;
    rows[chosen].setAttribute("aria-selected", "true");
    rows[chosen].scrollIntoView({ block: "nearest" });
    field.setAttribute("aria-activedescendant", rows[chosen].id);
  }

  field.addEventListener("input", () => load(show));
  field.addEventListener("focus", () => load(() => { if (field.value) show(); }));
  field.addEventListener("keydown", (event) => {
    if (event.key === "ArrowDown") { event.preventDefault(); choose(chosen + 1); }
    else if (event.key === "ArrowUp") { event.preventDefault(); choose(chosen - 1); }
    else if (event.key === "Enter") { list.querySelectorAll("a")[Math.max(chosen, 0)]?.click(); }
    else if (event.key === "Escape") { field.value = ""; for (const what of Object.keys(filters)) filters[what] = ""; close(); }
  });
  document.addEventListener("keydown", (event) => {
    const typing = event.target.matches("input, select, textarea");
    if (event.key === "/" && !typing) { event.preventDefault(); field.focus(); }
  });
  document.addEventListener("click", (event) => {
    const rule = event.target.closest("[data-rule]");
    if (rule) {
      event.preventDefault();
      filters.rule = rule.dataset.rule;
      load(() => { field.focus(); show(); });
    } else if (!event.target.closest(".search")) close();
  });
})();
