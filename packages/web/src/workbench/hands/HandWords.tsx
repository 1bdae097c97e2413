/** What a hand comes to, beside it while it is moved. */
export const HandWords = ({ words, className = '' }: { words: string | undefined; className?: string }) =>
  words === undefined ? null : (
    <span
      role="status"
      className={`pointer-events-none absolute z-20 rounded-sm bg-[#e0a11b] px-1.5 font-mono text-[11px] leading-[18px] whitespace-nowrap text-[#1f2a24] ${className}`}
    >
      {words}
    </span>
  );
