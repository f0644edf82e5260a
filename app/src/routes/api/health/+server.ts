import { json } from '@sveltejs/kit';
import { SHOOT_FORMAT, SHOOT_VERSION } from '@gentle-arc/core/model';

export const GET = () => json({ status: 'ok', format: SHOOT_FORMAT, version: SHOOT_VERSION });
