import type { NotedStation, PaperStation } from '@/core/paper';

export const STATION_WORDS: Record<PaperStation | NotedStation, string> = {
  heard: 'heard of',
  asked: 'sample asked',
  tried: 'tried',
  swatch: 'swatch',
  inStock: 'in stock',
  discontinued: 'discontinued',
  gone: 'gone',
};

/** What is noted by hand, as it is chosen. */
export const NOTED_WORDS = {
  heard: 'heard of',
  asked: 'a sample was asked for',
  tried: 'tried',
} as const;

/** What a note says beside its day and station. */
export function noteWords(note: {
  triedFor: string;
  printed: string;
  setting: string;
  words: string;
}): string {
  const parts = [
    note.triedFor && ` for ${note.triedFor}`,
    note.printed && `: ${note.printed}`,
    note.setting && `, setting ${note.setting}`,
    note.words && `. ${note.words}`,
  ];
  return parts.filter(Boolean).join('');
}
