def helper():
    pass


class TestMust:
    def test_it(self):
        pass
