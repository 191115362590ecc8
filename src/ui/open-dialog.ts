/** The dialog that asks something now, over everything else; panes that stand beside the work are none. */
export const openDialog = (): Element | null =>
  document.querySelector('.ant-modal-wrap:not([style*="display: none"]) [role="dialog"]')
