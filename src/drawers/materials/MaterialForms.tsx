'use client';
import { useRouter } from 'next/navigation';
import { Button, ButtonLink, useAction, useActionForm } from '@/shell/actions';
import { ChoiceField, Field } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import type { Form } from '@/shell/fields';
import { SectionLabel, Small } from '@/shell/words';
import {
  createMaterial,
  editMaterial,
  layInUsual,
  moveMaterial,
  removeMaterial,
} from './actions';
import { MATERIAL_KINDS, deliveryForm, materialForm } from './materialForm';
import type { MaterialsView } from './view';
import { KIND_WORDS } from './words';

type Material = MaterialsView['materials'][number];

const MaterialFields = ({ form, kept }: { form: Form; kept?: string | undefined }) => {
  const f = { form, of: materialForm };
  return (
    <>
      <Field {...f} name="name" words />
      <ChoiceField
        {...f}
        name="kind"
        options={MATERIAL_KINDS.map((k) => [k, KIND_WORDS[k]] as const)}
      />
      <Field {...f} name="width" />
      <Field {...f} name="height" />
      <Field {...f} name="thickness" />
      <Field {...f} name="mass" />
      <Field
        {...f}
        name="cost"
        {...(kept ? { hint: `Kept: ${kept}. Left empty, it stays so.` } : {})}
      />
      <Field {...f} name="reorderPoint" />
      <Small>
        Sizes are inside sizes. Of a tube: its diameter across, its length along. Weigh one
        piece: the parcel is reckoned with it.
      </Small>
    </>
  );
};

/** Lays in what is usual, a few pieces of each. */
export const LayIn = ({ plain = false }: { plain?: boolean }) => {
  const { run, sending } = useAction(layInUsual, 'Packing material laid in.');
  return (
    <Button
      $small
      $plain={plain}
      isDisabled={sending}
      onPress={() => run({})}
      style={{ alignSelf: 'flex-start' }}
    >
      Lay in the usual packing material
    </Button>
  );
};

/** A new kind of packing material. */
export function NewMaterial({ first }: { first: boolean }) {
  const router = useRouter();
  const bench = useBench();
  const start = materialForm.write({ kind: 'sleeve', reorderPoint: 0 }, bench);
  const { form, submit, sending, problem } = useActionForm(createMaterial, start, {
    done: 'Material added; note its first delivery.',
    onDone: (id) => router.push(`/materials?material=${id}`),
  });
  return (
    <Slip
      label="New material"
      actions={
        <>
          <Button onPress={submit} isDisabled={sending}>
            Add this material
          </Button>
          {!first && (
            <ButtonLink $plain href="/materials">
              Leave it
            </ButtonLink>
          )}
        </>
      }
    >
      <SlipTitle>New material</SlipTitle>
      {first && (
        <>
          <Small>
            To begin with: sleeves, boards, mailers and tubes for common sheets, five of
            each. Their masses are usual figures (rule of thumb).
          </Small>
          <LayIn />
        </>
      )}
      <MaterialFields form={form} />
      <Problem>{problem}</Problem>
    </Slip>
  );
}

/** A kind of material put right; one that never moved can be taken out. */
export function EditMaterial({
  material,
  stored,
  currency,
}: {
  material: Material;
  stored: Record<string, string>;
  currency: string;
}) {
  const router = useRouter();
  const format = useFormat();
  const materialId = String(material.id);
  const { form, submit, sending, problem } = useActionForm(editMaterial, stored, {
    fixed: { materialId, seen: JSON.stringify(stored) },
    done: 'Changed.',
    onDone: () => router.push(`/materials?material=${materialId}`),
  });
  const removal = useAction(removeMaterial, 'Taken out of the drawer.', () =>
    router.push('/materials'),
  );
  const kept =
    material.currency === currency
      ? undefined
      : format.money(material.cost, material.currency);
  return (
    <Slip
      label="Change this material"
      actions={
        <>
          <Button onPress={submit} isDisabled={sending}>
            Keep the changes
          </Button>
          <ButtonLink $plain href={`/materials?material=${materialId}`}>
            Leave it
          </ButtonLink>
        </>
      }
    >
      <SlipTitle>{stored.name}</SlipTitle>
      <MaterialFields form={form} kept={kept} />
      <Problem>{problem ?? removal.problem}</Problem>
      <Small>Parcels that are sealed keep what was noted of it then.</Small>
      <Button
        $plain
        $small
        style={{ alignSelf: 'flex-start' }}
        isDisabled={removal.sending}
        onPress={() => removal.run({ materialId })}
      >
        Take this material out of the drawer
      </Button>
    </Slip>
  );
}

/** Pieces that came in or went out. */
export const Delivery = ({ material }: { material: Material }) => {
  const { form, submit, sending, problem } = useActionForm(
    moveMaterial,
    { pieces: '', reason: 'delivery' },
    { fixed: { materialId: String(material.id) }, done: 'Stock noted.' },
  );
  const f = { form, of: deliveryForm };
  return (
    <>
      <SectionLabel>Pieces received, or used with a minus</SectionLabel>
      <Field {...f} name="pieces" />
      <Field {...f} name="reason" words />
      <Problem>{problem}</Problem>
      <Button
        $small
        onPress={submit}
        isDisabled={sending}
        style={{ alignSelf: 'flex-start' }}
      >
        Note it
      </Button>
    </>
  );
};
