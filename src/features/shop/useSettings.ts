import type { SeamMethod, Settings, WrapKind } from '@/core/shop/settings';
import { changeSettings } from '@/data/shop';
import { notifyProblem } from '@/ui/notify';
import { useShop } from '../shell/shopContext';

/** Changes the stored settings, by a function over what is stored now. */
export function useSettings() {
  const s = useShop().shop.settings;
  /** True once it is stored: a field keeps what was typed where it is not. */
  const change = async (f: (now: Settings) => Settings): Promise<boolean> => {
    const r = await changeSettings(f);
    if (!r.ok) notifyProblem(r.problem);
    return r.ok;
  };
  const put = (next: Partial<Settings>) => change((now) => ({ ...now, ...next }));
  const putTape = (next: Partial<Settings['tape']>) =>
    change((now) => ({ ...now, tape: { ...now.tape, ...next } }));
  const putDefaults = (next: Partial<Settings['defaults']>) =>
    change((now) => ({ ...now, defaults: { ...now.defaults, ...next } }));
  const putSeamMethod = (kind: WrapKind, seamMethod: SeamMethod) =>
    change((now) => ({
      ...now,
      defaults: { ...now.defaults, seamMethods: { ...now.defaults.seamMethods, [kind]: seamMethod } },
    }));
  return { s, change, put, putTape, putDefaults, putSeamMethod };
}
