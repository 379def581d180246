/** The product's mark: one peak, its tip just bending. */
export function Mark() {
  return (
    <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true" className="shrink-0">
      <path
        d="M2.5 23 C6 21 7.5 16 9.5 11 C11 7 13.5 3.5 18 4 C15.6 5.6 16 8.4 17 11.6 C18.4 16 20.5 20.8 23.5 23 Z"
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        strokeLinejoin="round"
      />
    </svg>
  );
}
