/** No hoop holds more than this; on larger areas stitches lie straight instead of following a field, mm². */
export const WIDEST_FIELD_MM2 = 100_000;
