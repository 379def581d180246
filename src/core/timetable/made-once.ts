import type { Service } from './service-schema';

/** The service with a part made once, or each for itself again. */
export const madeOnce = (service: Service, madeOf: string, once: boolean): Service => ({
  ...service,
  together: once ? [...service.together.filter((x) => x !== madeOf), madeOf] : service.together.filter((x) => x !== madeOf),
});
