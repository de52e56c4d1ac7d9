interface Plain {
  readonly title: string;
  readonly status: number;
  /** Markup of our own. */
  readonly body: string;
}

/** A page that needs no data, no scripts and no other file: for when there is no house to ask. */
export function plainPage({ title, status, body }: Plain): Response {
  const page = `<!doctype html>
<html lang="en-GB">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>${title} · Velvet Stone</title>
    <style>
      body { margin: 18vh auto 0; max-width: 36rem; padding: 0 1.5rem; font: 18px/1.6 system-ui, sans-serif; }
      body { background: #f5f0e8; color: #2b2233; }
      form { display: grid; gap: 0.5rem; justify-items: start; }
      input, button { font: inherit; padding: 0.5rem 0.9rem; border-radius: 14px; border: 1px solid #6f6472; }
      input { inline-size: min(100%, 26rem); background: #fbf8f3; color: inherit; }
      button { background: #5a3a63; color: #fbf8f3; border-color: #5a3a63; cursor: pointer; }
      :focus-visible { outline: 3px solid #5a3a63; outline-offset: 2px; }
      [role='alert'] { color: #9a3c2b; min-block-size: 1.6em; margin: 0; }
      @media (prefers-color-scheme: dark) {
        body { background: #1e1724; color: #f2dfc0; }
        input { background: #2a2131; border-color: #ab9883; }
        button { background: #c9a4d1; color: #1e1724; border-color: #c9a4d1; }
        :focus-visible { outline-color: #c9a4d1; }
        [role='alert'] { color: #e58a72; }
      }
    </style>
  </head>
  <body>
    <main>
      <h1>${title}</h1>
      ${body}
    </main>
  </body>
</html>
`;
  return new Response(page, {
    status,
    headers: { 'content-type': 'text/html; charset=utf-8', 'cache-control': 'no-store' },
  });
}
