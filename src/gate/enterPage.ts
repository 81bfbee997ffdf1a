const escape = (text: string) => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** The page that asks for the passphrase; no script, styles under the answer's nonce. */
export const enterPage = (
  nonce: string,
  problem: string,
  next: string,
): string => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>Glassine</title>
<meta name="viewport" content="width=device-width">
<style nonce="${nonce}">
body{margin:0;min-height:100vh;display:grid;place-items:center;background:#a9a9a9;color:#161616;font:16px/1.4 Georgia,serif}
form{background:#f6f6f6;padding:24px 28px;display:grid;gap:12px;width:min(340px,80vw);box-shadow:0 1px 4px #0006}
h1{font-size:24px;font-style:italic;font-weight:400;margin:0}
input{font:inherit;padding:7px 9px;border:1px solid #6f6f6f}
button{font:inherit;padding:8px;border:0;background:#1c4a78;color:#fff;cursor:pointer}
p{margin:0;color:#8f1d12}
:focus-visible{outline:2px solid #1c4a78;outline-offset:2px}
</style></head><body><form method="post" action="/enter"><h1>Glassine</h1>
<label for="passphrase">Passphrase of this studio</label>
<input id="passphrase" name="passphrase" type="password" autocomplete="current-password" required autofocus>
<input type="hidden" name="next" value="${escape(next)}">
${problem === '' ? '' : `<p role="alert">${escape(problem)}</p>`}
<button>Enter</button></form></body></html>`;

/**
 * A plain path of our own to go on to; anything else (another host, steps upwards, signs that
 * no address of ours has) leads to the table.
 */
export const ownPath = (next: string | null): string =>
  next !== null &&
  next.length <= 2000 &&
  /^\/(?:[\w%~-][\w%.~/-]*)?(?:\?[\w%.~&=+,:;@!$'()*/?-]*)?$/.test(next) &&
  !/\/[/.]/.test(next.split('?', 1)[0]!)
    ? next
    : '/';
