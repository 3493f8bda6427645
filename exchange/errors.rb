# frozen_string_literal: true

module NutShelf
  module Exchange
    # What cannot be read, written or drawn, whatever the format; each file says by a class of its own what of.
    class Error < StandardError
    end
  end
end
