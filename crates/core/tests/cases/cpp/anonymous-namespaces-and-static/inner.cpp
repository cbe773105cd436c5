namespace {
int hidden(int a) { return a; }
struct Hidden { int go(); };
}
namespace cellar::press {
static int local(int a) { return a; }
/** Seen. */
int seen(int a) { return a; }
inline namespace v1 { void deep(int); }
}
extern "C" { int of_c(int a); }
extern "C" void single(int b) {}
