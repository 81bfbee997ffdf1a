'use client';
import { RGB_SPACES, SPACE_IDS } from '@/core/colour';
import { COMPRESSIONS, FORMATS, INTENTS, LIMITS, namePatternProblem } from '@/core/prepare';
import type { Compression, FileFormat, Intent, Recipe, TargetId } from '@/core/prepare';
import { Tick, Upload } from '@/shell/fields';
import { useRouter } from 'next/navigation';
import { NumberRow } from './NumberRow';
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
      <label style={{ fontSize: 12.5 }}>
        <Tick
          checked={convert.blackPoint}
          onChange={(e) => put({ blackPoint: e.target.checked })}
        />{' '}
        black point compensation
      </label>
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
        <NumberRow
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
        <label style={{ fontSize: 12.5 }}>
          <Tick checked={file.dither} onChange={(e) => put({ dither: e.target.checked })} />{' '}
          dither tones between two levels
        </label>
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
  <label style={{ fontSize: 12.5 }}>
    <Tick
      checked={recipe.marks}
      onChange={(e) => onChange({ ...recipe, marks: e.target.checked })}
    />{' '}
    trim marks, on 8 mm of white around the paper
  </label>
);
