// What jsdom lacks of a browser.
Object.defineProperty(window, "matchMedia", {
  value: (query: string) => ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }),
});

class NoResizes {
  observe() {}
  unobserve() {}
  disconnect() {}
}

Object.defineProperty(window, "ResizeObserver", { value: NoResizes });

Element.prototype.scrollTo = () => undefined;

// What the page would scroll to is nowhere in it.
Element.prototype.scrollIntoView = () => undefined;
