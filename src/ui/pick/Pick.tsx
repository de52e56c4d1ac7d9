import {
  Button,
  ComboBox,
  Input,
  Label,
  ListBox,
  ListBoxItem,
  ListBoxSection,
  Header,
  Popover,
} from 'react-aria-components';
import styles from './Pick.module.css';
import { pickWords } from './pick.words';

export interface PickOption {
  readonly id: string;
  readonly text: string;
  readonly group: string;
}

interface Props {
  readonly label: string;
  readonly options: readonly PickOption[];
  readonly value: string | null;
  readonly onChange: (id: string | null) => void;
}

/** One out of many, found by typing a part of it. */
export function Pick({ label, options, value, onChange }: Props) {
  const groups = [...new Set(options.map((option) => option.group))];
  return (
    <ComboBox
      className={styles['pick'] ?? ''}
      selectedKey={value}
      onSelectionChange={(key) => onChange(key === null ? null : String(key))}
      menuTrigger="focus"
    >
      <Label className={styles['label'] ?? ''}>{label}</Label>
      <div className={styles['box']}>
        <Input className={styles['input'] ?? ''} placeholder={pickWords.typeAPartOfIt} />
        <Button className={styles['open'] ?? ''}>▾</Button>
      </div>
      <Popover className={styles['popover'] ?? ''}>
        <ListBox className={styles['list'] ?? ''}>
          {groups.map((group) => (
            <ListBoxSection key={group}>
              <Header className={styles['group'] ?? ''}>{group}</Header>
              {options
                .filter((option) => option.group === group)
                .map((option) => (
                  <ListBoxItem key={option.id} id={option.id} textValue={option.text} className={styles['item'] ?? ''}>
                    {option.text}
                  </ListBoxItem>
                ))}
            </ListBoxSection>
          ))}
        </ListBox>
      </Popover>
    </ComboBox>
  );
}
