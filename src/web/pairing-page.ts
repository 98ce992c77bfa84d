const escaped = (text: string) => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** The page on which a device types the code that the desk shows: complete in itself, since nothing else is given to it yet. */
export function pairingPage(problem: string, field: 'code' | 'name', name: string): string {
  const fault = (of: string) =>
    problem && field === of ? `<p class="fault" id="${of}-fault" role="alert">${escaped(problem)}</p>` : '';
  const described = (of: string) =>
    problem && field === of ? ` aria-describedby="${of}-fault" aria-invalid="true"` : '';
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Pair this device - Jolly Bolt</title>
<style>
body { margin: 0; background: #f2f4f1; color: #14241f; font: 18px/1.5 system-ui, sans-serif; }
header { background: #fff; padding: 18px 32px; font: 800 22px/1.2 Georgia, serif; border-bottom: 10px solid #f4c21f; }
main { max-width: 520px; padding: 32px; }
h1 { font: 800 30px/1.2 Georgia, serif; margin: 0 0 8px; }
label { display: block; font-weight: 600; margin: 22px 0 6px; }
input { box-sizing: border-box; width: 100%; font: inherit; padding: 12px; border: 1px solid #6b7b74; border-radius: 2px; background: #fff; color: inherit; }
input.code { font-size: 32px; font-weight: 700; letter-spacing: 0.12em; }
button { margin-top: 26px; min-height: 60px; width: 100%; font: inherit; font-weight: 700; color: #fff; background: #0f4a3c; border: 0; border-radius: 2px; }
:focus-visible { outline: 3px solid #f4c21f; outline-offset: 2px; }
.fault { color: #992d20; font-weight: 600; margin: 8px 0 0; }
.note { color: #4c5d56; }
@media (prefers-color-scheme: dark) {
  body { background: #14241f; color: #eef3ef; }
  header { background: #1b2f28; }
  input { background: #1b2f28; }
  .note { color: #b6c4bc; }
  .fault { color: #ffb4a8; }
}
</style>
</head>
<body>
<header>Jolly Bolt</header>
<main>
<h1>Pair this device</h1>
<p class="note">At the desk open Workroom, then Devices, and have a code shown. It works once and holds for ten minutes.</p>
<form method="post" action="/pair" autocomplete="off">
<label for="code">Code from the desk</label>
<input class="code" id="code" name="code" inputmode="numeric" maxlength="12" required autofocus${described('code')}>
${fault('code')}
<label for="name">Name of this device</label>
<input id="name" name="name" maxlength="60" required placeholder="tablet at the long table" value="${escaped(name)}"${described('name')}>
${fault('name')}
<button type="submit">Pair it</button>
</form>
</main>
</body>
</html>
`;
}
