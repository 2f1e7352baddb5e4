export { dxfText, type DxfEntity, type DxfPoint } from './dxf.ts';
export { figureDxf } from './figure-dxf.ts';
export { rodDxf } from './rod-dxf.ts';
