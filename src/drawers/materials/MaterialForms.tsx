'use client';
import { useRouter } from 'next/navigation';
import { Button, TakeOut, useAction, useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { FormPart, FormSlip } from '@/shell/slip';
import type { Form } from '@/shell/fields';
import { SectionLabel, Small } from '@/shell/words';
import { createMaterial, editMaterial, layInUsual } from './actions';
import { moveMaterial, removeMaterial } from './actions';
import { MATERIAL_KINDS, deliveryForm, materialForm } from './materialForm';
import type { MaterialsView } from './view';
import { KIND_WORDS } from './words';

type Material = MaterialsView['materials'][number];

const KINDS = MATERIAL_KINDS.map((k) => [k, KIND_WORDS[k]] as const);

const MaterialFields = ({ form, kept }: { form: Form; kept?: string | undefined }) => (
  <>
    <FormFields
      form={form}
      of={materialForm}
      options={{ kind: KINDS }}
      hints={{ cost: kept && `Kept: ${kept}. Left empty, it stays so.` }}
    />
    <Small>
      Sizes are inside sizes. Of a tube: its diameter across, its length along. Weigh one
      piece: the parcel is reckoned with it.
    </Small>
  </>
);

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
  const start = materialForm.write(
    { kind: 'sleeve', reorderPoint: 0, supplier: '' },
    useBench(),
  );
  const form = useActionForm(createMaterial, start, {
    done: 'Material added; note its first delivery.',
    onDone: (id) => router.push(`/materials?material=${id}`),
  });
  return (
    <FormSlip
      label="New material"
      form={form}
      verb="Add this material"
      back={first ? null : '/materials'}
    >
      {first && (
        <>
          <Small>
            To begin with: sleeves, boards, mailers and tubes for common sheets, five of
            each. Their masses are usual figures (rule of thumb).
          </Small>
          <LayIn />
        </>
      )}
      <MaterialFields form={form.form} />
    </FormSlip>
  );
}

/** A kind of material put right; one that never moved can be taken out. */
export function EditMaterial({
  material,
  stored,
}: {
  material: Material;
  stored: Record<string, string>;
}) {
  const router = useRouter();
  const format = useFormat();
  const bench = useBench();
  const materialId = String(material.id);
  const back = `/materials?material=${materialId}`;
  const form = useActionForm(editMaterial, stored, {
    fixed: { materialId, seen: JSON.stringify(stored) },
    done: 'Changed.',
    onDone: () => router.push(back),
  });
  const { cost, currency } = material;
  const kept = currency === bench.currency ? undefined : format.money(cost, currency);
  return (
    <FormSlip
      label="Change this material"
      title={stored.name}
      form={form}
      verb="Keep the changes"
      back={back}
      after={
        <TakeOut
          action={removeMaterial}
          row={{ materialId }}
          what="this material"
          to="/materials"
          note="Parcels that are sealed keep what was noted of it then."
        />
      }
    >
      <MaterialFields form={form.form} kept={kept} />
    </FormSlip>
  );
}

/** Pieces that came in or went out. */
export const Delivery = ({ material }: { material: Material }) => {
  const form = useActionForm(
    moveMaterial,
    { pieces: '', reason: 'delivery' },
    { fixed: { materialId: String(material.id) }, done: 'Stock noted.' },
  );
  return (
    <FormPart form={form} verb="Note it">
      <SectionLabel>Pieces received, or used with a minus</SectionLabel>
      <FormFields form={form.form} of={deliveryForm} />
    </FormPart>
  );
};
