// Where the page's project has its voices.

export const voices = () => `/projects/${document.getElementById('stage').dataset.project}/voices`;
