# frozen_string_literal: true

module NutShelf
  module Core
    # Makes classes of values: fields by name, some with defaults, frozen once they are made.
    module Value
      # @param fields [Array<Symbol>] nil where nothing is given
      # @param defaults [Hash{Symbol => Object}] fields that are something else where nothing is given
      # @yield the methods of the class
      # @return [Class] made by `new(name: value)`; an unknown name raises ArgumentError
      def self.of(*fields, **defaults, &methods)
        made = Struct.new(*fields, *(defaults.keys - fields), keyword_init: true)
        made.const_set(:GIVEN, defaults.freeze)
        made.include(Frozen)
        made.class_eval(&methods) if methods
        made
      end

      # What every value does when it is made.
      module Frozen
        def initialize(**facts)
          super(**self.class::GIVEN, **facts)
          freeze
        end
      end
    end
  end
end
