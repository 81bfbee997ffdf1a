'use client';
import { RGB_SPACES, SPACE_IDS } from '@/core/colour';
import { COMPRESSIONS, FORMATS, INTENTS, LIMITS, namePatternProblem } from '@/core/prepare';
import type { Compression, FileFormat, Intent, Recipe, TargetId } from '@/core/prepare';
import { Tick, Upload } from '@/shell/fields';
import { useRouter } from 'next/navigation';
import { FigureRow } from '@/shell/fields';
import { PlainChoice, PlainWords } from './PlainChoice';
import type { PrepareView } from './view';
import { INTENT_NAMES, nameProblemWords } from './words';

const FORMAT_NAMES: Record<FileFormat, string> = { tiff: 'TIFF', png: 'PNG', jpeg: 'JPEG' };
const COMPRESSION_NAMES: Record<Compression, string> = {
  none: 'not compressed',
  lzw: 'LZW',
  deflate: 'deflate',
};

interface EndProps {
  recipe: Recipe;
  onChange: (recipe: Recipe) => void;
}

/** Colours that can be converted to: our own spaces, and the profiles that were brought. */
export const targetChoices = (
  profiles: PrepareView['profiles'],
): (readonly [string, string])[] => [
  ...SPACE_IDS.map((s) => [s, RGB_SPACES[s].name] as const),
  ...profiles.map((p) => [`icc:${p.sha256}`, `${p.name} (${p.space})`] as const),
];

/** The printer's colours, last of all. */
export function ConvertFields({
  recipe,
  profiles,
  onChange,
}: EndProps & { profiles: PrepareView['profiles'] }) {
  const router = useRouter();
  const { convert } = recipe;
  const put = (over: Partial<Recipe['convert']>) =>
    onChange({ ...recipe, convert: { ...convert, ...over } });
  return (
    <>
      <PlainChoice
        label="to"
        value={convert.target}
        options={targetChoices(profiles)}
        onChange={(target) => put({ target: target as TargetId })}
      />
      <PlainChoice
        label="intent"
        value={convert.intent}
        options={INTENTS.map((i) => [i, INTENT_NAMES[i]])}
        onChange={(intent) => put({ intent: intent as Intent })}
      />
      <Tick checked={convert.blackPoint} onChange={(blackPoint) => put({ blackPoint })}>
        black point compensation
      </Tick>
      <Upload
        url="/api/profiles"
        accept={['.icc', '.icm']}
        invitation="The printer’s own ICC profile"
        onDone={() => router.refresh()}
      />
    </>
  );
}

/** The file itself. */
export function FileFields({ recipe, onChange }: EndProps) {
  const { file } = recipe;
  const put = (over: Partial<Recipe['file']>) =>
    onChange({ ...recipe, file: { ...file, ...over } });
  const problem = namePatternProblem(file.name);
  return (
    <>
      <PlainChoice
        label="format"
        value={file.format}
        options={FORMATS.map((f) => [f, FORMAT_NAMES[f]])}
        onChange={(format) => put({ format: format as FileFormat })}
      />
      {file.format === 'tiff' && (
        <PlainChoice
          label="compressed"
          value={file.compression}
          options={COMPRESSIONS.map((c) => [c, COMPRESSION_NAMES[c]])}
          onChange={(compression) => put({ compression: compression as Compression })}
        />
      )}
      {file.format === 'jpeg' ? (
        <FigureRow
          label="quality"
          value={file.quality}
          limits={LIMITS.quality}
          step={1}
          onChange={(quality) => put({ quality })}
        />
      ) : (
        <PlainChoice
          label="bits"
          value={String(file.bits)}
          options={[
            ['8', '8 per channel'],
            ['16', '16 per channel'],
          ]}
          onChange={(bits) => put({ bits: bits === '16' ? 16 : 8 })}
        />
      )}
      {file.format !== 'jpeg' && file.bits === 8 && (
        <Tick checked={file.dither} onChange={(dither) => put({ dither })}>
          dither tones between two levels
        </Tick>
      )}
      <PlainWords
        label="name"
        value={file.name}
        invalid={problem !== null}
        onChange={(name) => put({ name })}
      />
      {problem && (
        <p role="alert" style={{ color: 'var(--brick)', fontSize: 12 }}>
          {nameProblemWords(problem)}
        </p>
      )}
    </>
  );
}

/** What Size laid down, and the marks around it. */
export const SheetFields = ({ recipe, onChange }: EndProps) => (
  <Tick checked={recipe.marks} onChange={(marks) => onChange({ ...recipe, marks })}>
    trim marks, on 8 mm of white around the paper
  </Tick>
);
