// Map of what is sent.
PRESS_MAP(PressShutter) PressShutterMap[] = {
  PRESS_SENDS(OPENED, 0, PressShutter::onOpened),
};

// What the object is.
PRESS_IMPLEMENT(PressShutter, PressFrame, PressShutterMap, PRESS_COUNT(PressShutterMap))

PressShutter::PressShutter(Press* press, unsigned options):
  PressFrame(press, (options&~(OPEN_WIDE|OPEN_HIGH)), 0) {
  lid = new Lid(this);
}
