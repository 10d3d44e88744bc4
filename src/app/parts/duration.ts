/** Seconds as they are said of work that goes on. */
export const duration = (seconds: number): string => {
  const s = Math.ceil(seconds);
  if (s >= 5400) return `${Math.floor(s / 3600)} h ${String(Math.floor((s % 3600) / 60)).padStart(2, '0')} min`;
  return s >= 90 ? `${Math.floor(s / 60)} min ${String(s % 60).padStart(2, '0')} s` : `${s} s`;
};
