'use client';
import { memo } from 'react';
import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { FAMILY_IDS } from '@/core/size';
import type { FamilyId } from '@/core/size';
import { Button, useActionForm } from '@/shell/actions';
import { Choose, EnterForm, Field, partCss, stripCss } from '@/shell/fields';
import { addOwnSize } from './ruleActions';
import type { Sizing } from './useSizing';
import { FAMILY_NAMES } from './words';
import { ownSizeForm } from './sizeForms';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 8px;
`;

const Group = styled(ToggleButtonGroup)`
  ${stripCss}
`;

const Part = styled(ToggleButton)`
  appearance: none;
  border: 0;
  background: transparent;
  color: inherit;
  font: inherit;
  ${partCss}
  padding: 6px 9px;
`;

const Ratio = styled.div`
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: 13px;
`;

const Own = styled(EnterForm)`
  display: flex;
  gap: 6px;
  align-items: start;
  width: 226px;
  > div {
    flex: 1;
    min-width: 0;
  }
`;

type FamilyPickerProps = Pick<
  Sizing,
  'families' | 'setFamilies' | 'ratio' | 'setRatio' | 'ratios' | 'pick'
>;

/** Which sizes are on the ladder: families, one ratio of them, and sizes of one's own. */
export const FamilyPicker = memo(function FamilyPicker(sizing: FamilyPickerProps) {
  const own = useActionForm(
    addOwnSize,
    { size: '' },
    {
      done: 'On the ladder.',
      onDone: (key) => {
        sizing.pick(key);
        own.form.reset({ size: '' });
      },
    },
  );
  return (
    <Row>
      <Group
        aria-label="Families of sizes"
        selectionMode="multiple"
        disallowEmptySelection
        selectedKeys={sizing.families}
        onSelectionChange={(keys) => sizing.setFamilies([...keys] as FamilyId[])}
      >
        {([...FAMILY_IDS, 'own'] as const).map((id) => (
          <Part key={id} id={id}>
            {FAMILY_NAMES[id]}
          </Part>
        ))}
      </Group>
      <Ratio>
        <span aria-hidden>Ratio</span>
        <Choose
          label="Ratio"
          value={sizing.ratio ?? ''}
          onChange={(name) => sizing.setRatio(name || null)}
          style={{ width: 92 }}
          options={[['', 'all'], ...sizing.ratios.map((name) => [name, name] as const)]}
        />
      </Ratio>
      <Own onEnter={own.submit}>
        <div>
          <Field form={own.form} of={ownSizeForm} name="size" label="Own" />
        </div>
        <Button type="submit" $plain $small isDisabled={own.sending}>
          Add
        </Button>
      </Own>
    </Row>
  );
});
