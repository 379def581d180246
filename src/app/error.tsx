'use client';

export default function Trouble({ reset }: { readonly error: Error; readonly reset: () => void }) {
  return (
    <main className="mx-auto max-w-[560px] px-6 py-16">
      <h1 className="mb-3 text-[26px]">This page could not be drawn</h1>
      <p className="mb-5">What you typed is kept in this browser and in the data file. Load the page again; if it stays, the server’s log names the reason.</p>
      <button type="button" className="btn btn-act" onClick={reset}>
        Load it again
      </button>
    </main>
  );
}
