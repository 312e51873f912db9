'use client';

import { useState } from 'react';
import { Button } from '@/ui/button';
import { Segmented } from '@/ui/segmented';

interface Props {
  readonly onCreate: (name: string, units: 'us' | 'metric') => void;
}

export function NewShopForm({ onCreate }: Props) {
  const [name, setName] = useState('');
  const [units, setUnits] = useState<'us' | 'metric'>('us');
  const [isRefused, setRefused] = useState(false);
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() === '') setRefused(true);
        else onCreate(name.trim(), units);
      }}
    >
      <label className="block">
        <span className="text-quiet">Shop name</span>
        <input
          value={name}
          maxLength={200}
          aria-invalid={isRefused && name.trim() === ''}
          onChange={(event) => setName(event.target.value)}
          className="mt-1 block min-h-11 w-full border border-ink bg-transparent px-3 text-[18px] aria-invalid:border-starved"
        />
        {isRefused && name.trim() === '' && (
          <span role="alert" className="text-starved-text">
            A shop needs a name.
          </span>
        )}
      </label>
      <div className="flex items-center gap-3">
        <span className="text-quiet">Units</span>
        <Segmented
          label="Units"
          value={units}
          options={[
            { value: 'us', label: 'CFM, inches' },
            { value: 'metric', label: 'm³/h, mm' },
          ]}
          onChange={setUnits}
        />
      </div>
      <Button type="submit" look="solid">
        Start
      </Button>
    </form>
  );
}
