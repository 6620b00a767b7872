package arborline.shop;

/** A simulated control, as whoever plays the shop handles it. */
interface StandIn {

  Behaviour behaviour();

  void behave(Behaviour next);

  /** Forgets everything since delivery, and behaves. */
  void forget();

  /**
   * The operator changes something at the panel.
   *
   * @param json what, in this control's own words
   */
  void panel(String json);
}
