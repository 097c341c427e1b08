export * from './drawingSvg.ts';
export * from './holders.ts';
export * from './panelDrawing.ts';
export * from './panelLayout.ts';
export { type PanelDesign, type PanelWire, panelFormulas } from './panelStage.ts';
export { panelStage } from './panelStage.ts';
