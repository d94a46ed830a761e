/** Text that can stand in a page. */
const plain = (text: string) => text.replace(/[&<>"']/g, (char) => `&#${char.charCodeAt(0)};`);

interface PairPage {
  readonly nonce: string;
  /** What is wrong with what was typed; null at first. */
  readonly trouble: string | null;
  /** Digits that the address brought along. */
  readonly code: string;
  /** Whether others on the network can't listen. */
  readonly isPrivate: boolean;
}

/** The one page that a device sees before it is paired; no script, nothing of anybody's records. */
export function pairPage({ nonce, trouble, code, isPrivate }: PairPage): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Pair this device · Pin Margin</title>
<style nonce="${plain(nonce)}">
body{margin:0;padding:8vh 6vw;background:#eee5d6;color:#26272b;font:1.25rem/1.4 sans-serif}
main{max-width:26rem;margin:auto}
h1{font:600 2rem/1.15 serif;margin:0 0 1rem}
label{display:block;margin:1rem 0 .25rem}
input{box-sizing:border-box;width:100%;min-height:3.5rem;padding:0 .75rem;font:inherit;border:1px solid #8d8069;border-radius:3px;background:#fff}
#code{font-size:2rem;letter-spacing:.35em}
button{width:100%;min-height:3.75rem;margin-top:1.5rem;font:bold 1.25rem sans-serif;color:#fffdf6;background:#26272b;border:0;border-radius:3px}
.trouble{font-weight:bold;color:#963226}
.soft{color:#57534a;font-size:1rem}
</style>
</head>
<body>
<main>
<h1>Pair this device</h1>
<p>The computer shows six digits under “Devices”. They work once, within two minutes.</p>
${trouble ? `<p class="trouble" role="alert">${plain(trouble)}</p>` : ''}
<form method="post" action="/pair">
<label for="code">Six digits</label>
<input id="code" name="code" value="${plain(code)}" inputmode="numeric" pattern="[0-9]{6}" maxlength="6" autocomplete="one-time-code" required autofocus>
<label for="name">What this device is called</label>
<input id="name" name="name" maxlength="60" value="Phone beside the machine" required>
<button>Pair it</button>
</form>
<p class="soft"><a href="/">It is paired already: open the app</a></p>
<p class="soft">${isPrivate ? 'What is sent between this device and the computer is encrypted.' : 'What is sent is not encrypted: whoever is on the same home network could listen. README says how to use a certificate of your own.'}</p>
</main>
</body>
</html>
`;
}
