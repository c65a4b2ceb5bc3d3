'use client';

import { Segments } from '@/ui/Segments';
import { useUnitSwitch } from './GlobalKeys';
import { useShop } from './shopContext';

export function UnitToggles() {
  const { units } = useShop().shop.settings;
  const switchUnits = useUnitSwitch();
  return (
    <div className="flex gap-3">
      <Segments label="Length unit" value={units.length} onChange={(length) => switchUnits({ length })} options={[{ value: 'mm', label: 'mm' }, { value: 'in', label: 'in' }]} />
      <Segments label="Temperature unit" value={units.temperature} onChange={(temperature) => switchUnits({ temperature })} options={[{ value: 'C', label: '°C' }, { value: 'F', label: '°F' }]} />
    </div>
  );
}
