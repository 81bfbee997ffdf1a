/** Calls from file to file, while they are noted: `caller -> file:function`. */
globalThis.__calls = null;

globalThis.__given = (get, file, name) => () => {
  const value = get();
  if (typeof value === 'function' && !Object.hasOwn(value, '__home'))
    Object.defineProperty(value, '__home', {
      value: `${file}:${name}`,
      configurable: true,
    });
  return value;
};

globalThis.__taken = (file, value) => {
  if (globalThis.__calls && typeof value === 'function' && value.__home)
    if (!value.__home.startsWith(`${file}:`))
      globalThis.__calls.add(`${file} -> ${value.__home}`);
  return value;
};
