struct Opt { int a; };
/** Opens. @param opt how */
int open_tank(Opt opt = {1}, std::vector<int> list = {1, 2, 3}, std::function<int(int, int)> f = [](int a, int b) { return a, b; });
/**
 * Checks.
 *
 * Twice.
 */
int check(int n) { return n > 0 ? n : throw std::out_of_range("n"); }
/** After. @param a one */
int after(int a) { return a; }
