'use client';

/** In place of a page whose frame itself could not be made; the theme is not there either. */
export default function GlobalError() {
  return (
    <html lang="en">
      <body
        style={{
          margin: 0,
          background: '#f2f4f1',
          color: '#14241f',
          font: '17px/1.5 "Atkinson Hyperlegible Next Variable", sans-serif',
        }}
      >
        <main style={{ maxWidth: 620, margin: '18vh auto 0', padding: '0 32px' }}>
          <div style={{ height: 10, background: '#f4c21f', marginBottom: 24 }} />
          <h1 style={{ font: '700 30px/1.2 "Bitter Variable", serif', margin: 0 }}>This page could not be shown</h1>
          <p style={{ margin: '12px 0 22px' }}>
            The workroom’s computer did not answer as expected. Nothing that was saved is lost; if this stays, stop
            Jolly Bolt and start it again.
          </p>
          <button
            onClick={() => window.location.reload()}
            style={{
              font: '700 17px "Atkinson Hyperlegible Next Variable", sans-serif',
              padding: '10px 20px',
              border: 0,
              borderRadius: 4,
              background: '#0f4f41',
              color: '#fff',
            }}
          >
            Open it again
          </button>
        </main>
      </body>
    </html>
  );
}
