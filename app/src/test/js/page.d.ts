// What the scripts find on a page: which kind of element stands where is known to the templates alone, so elements are not
// checked for what they are; names, arguments, imports and everything else are.

interface ParentNode {
  querySelector(selectors: string): any;
  querySelectorAll(selectors: string): NodeListOf<any>;
}

interface Document {
  getElementById(id: string): any;
  addEventListener(type: string, listener: (event: any) => void, options?: boolean | AddEventListenerOptions): void;
  activeElement: any;
}

interface NonElementParentNode {
  getElementById(elementId: string): any;
}

interface Element {
  closest(selectors: string): any;
}

interface EventTarget {
  addEventListener(type: string, listener: (event: any) => void, options?: boolean | AddEventListenerOptions): void;
}

interface FormData {
  append(name: string, value: number | boolean): void;
  set(name: string, value: number | boolean): void;
}

interface URLSearchParams {
  set(name: string, value: number | boolean): void;
}

interface Element {
  setAttribute(name: string, value: number | boolean): void;
}

interface Storage {
  setItem(key: string, value: number): void;
}

/** Comes with the page, before every module. */
declare const htmx: { process(element: Element): void; ajax(verb: string, address: string, options: object): Promise<void> };

/** The worklet's own world. */
declare class AudioWorkletProcessor { readonly port: MessagePort; }
declare function registerProcessor(name: string, processor: typeof AudioWorkletProcessor): void;

declare module '@codemirror/*';
